// Strokes of the pump: each tap counts one, in the field that is sent.
export function startStrokes() {
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-stroke]");
    if (!button) {
      return;
    }
    const count = button.form.elements.namedItem("count");
    const next = (Number.parseInt(count.value, 10) || 0) + 1;
    count.value = String(next);
    button.querySelector("[data-stroke-count]").textContent = String(next);
    count.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
