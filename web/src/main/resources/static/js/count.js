// Bubbles by tapping: a tap adds one to the field of that size.
export function startCount() {
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-count]");
    if (!button) {
      return;
    }
    const field = button.form.elements.namedItem(button.dataset.count);
    field.value = String((Number.parseInt(field.value, 10) || 0) + 1);
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
