// Places on a photograph by tapping: each tap fills the next of its fields, as percent across and down.
export function startSpots() {
  document.addEventListener("click", (event) => {
    const image = event.target.closest("img[data-spots]");
    if (!image) {
      return;
    }
    const fields = image.dataset.spots.split(" ").map((id) => document.getElementById(id));
    const field = fields.find((f) => f.value === "") || fields[0];
    if (fields.every((f) => f.value !== "")) {
      fields.forEach((f) => (f.value = ""));
    }
    const box = image.getBoundingClientRect();
    const across = (100 * (event.clientX - box.left)) / box.width;
    const down = (100 * (event.clientY - box.top)) / box.height;
    field.value = `${across.toFixed(1)} ${down.toFixed(1)}`;
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
