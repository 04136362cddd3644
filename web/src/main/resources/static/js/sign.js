// A signature drawn with finger, pen or mouse: strokes in whole numbers of the drawing, sent with the form.
export function startSign() {
  let stroke = false;
  const at = (pad, e) => {
    const box = pad.getBoundingClientRect();
    const clamp = (v, most) => Math.max(0, Math.min(most, Math.round(v)));
    return `${clamp(((e.clientX - box.left) / box.width) * 600, 600)},${clamp(((e.clientY - box.top) / box.height) * 200, 200)}`;
  };
  const add = (pad, text) => {
    const field = pad.closest("form").elements.drawing;
    field.value += text;
    pad.querySelector("path").setAttribute("d", field.value);
  };
  document.addEventListener("pointerdown", (e) => {
    const pad = e.target.closest?.("[data-sign]");
    if (pad) {
      stroke = true;
      pad.setPointerCapture(e.pointerId);
      add(pad, "M" + at(pad, e));
      e.preventDefault();
    }
  });
  document.addEventListener("pointermove", (e) => {
    const pad = e.target.closest?.("[data-sign]");
    if (pad && stroke) {
      add(pad, "L" + at(pad, e));
    }
  });
  for (const end of ["pointerup", "pointercancel"]) {
    document.addEventListener(end, () => (stroke = false));
  }
  document.addEventListener("click", (e) => {
    const form = e.target.closest?.("[data-sign-again]")?.closest("form");
    if (form) {
      form.elements.drawing.value = "";
      form.querySelector("[data-sign] path").setAttribute("d", "");
    }
  });
}
