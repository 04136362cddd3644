// A slider beside a field: each shows what the other says.
export function startSlide() {
  document.addEventListener("input", (event) => {
    const slide = event.target.closest("[data-slide]");
    if (slide) {
      slide.form.elements.namedItem(slide.dataset.slide).value = slide.value;
      return;
    }
    const field = event.target.closest("form[data-plan] input[name]");
    const other = field && field.form.querySelector(`[data-slide="${field.name}"]`);
    if (other) {
      other.value = field.value;
    }
  }, true);
}
