// The part of the curve that is used: dragged on the curve, or moved with the arrow keys in its fields.
// An end near the pointer moves alone; elsewhere a new part begins.
const NEAR = 24; // px
const STEP = 15; // s
const SETTLED = 400; // ms without another key

const text = (seconds) => {
  const s = Math.max(0, Math.round(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`;
};

const seconds = (value) => {
  const [m, s] = value.split(":").map(Number);
  return Number.isFinite(s) ? 60 * m + s : Number.NaN;
};

function form() {
  return document.querySelector("form[data-window]");
}

function place(svg, plot, clientX) {
  const frame = plot.getBoundingClientRect();
  const share = Math.min(1, Math.max(0, (clientX - frame.left) / frame.width));
  const from = Number(plot.dataset.from);
  return from + share * (Number(plot.dataset.to) - from);
}

function draw(plot, shown, a, b) {
  const from = Number(plot.dataset.from);
  const scale = Number(plot.getAttribute("width")) / (Number(plot.dataset.to) - from);
  const left = Number(plot.getAttribute("x"));
  shown.setAttribute("x", left + (Math.min(a, b) - from) * scale);
  shown.setAttribute("width", Math.max(1, Math.abs(b - a) * scale));
}

function begin(event) {
  const plot = event.target.closest(".curve-plot");
  const target = form();
  if (!plot || !target || !event.isPrimary) {
    return;
  }
  const svg = plot.ownerSVGElement;
  const shown = svg.querySelector(".curve-window");
  if (!shown) {
    return;
  }
  event.preventDefault();
  const box = shown.getBoundingClientRect();
  const nearLeft = Math.abs(event.clientX - box.left) < NEAR;
  const nearRight = Math.abs(event.clientX - box.right) < NEAR;
  const fixed = nearLeft ? place(svg, plot, box.right) : nearRight ? place(svg, plot, box.left) : place(svg, plot, event.clientX);
  let moving = place(svg, plot, event.clientX);
  const move = (e) => {
    moving = place(svg, plot, e.clientX);
    draw(plot, shown, fixed, moving);
  };
  const end = () => {
    plot.removeEventListener("pointermove", move);
    plot.removeEventListener("pointerup", end);
    plot.removeEventListener("pointercancel", end);
    if (Math.abs(moving - fixed) * 60 < 5) {
      return; // a tap, not a drag
    }
    target.elements.namedItem("windowFrom").value = text(60 * Math.min(fixed, moving));
    target.elements.namedItem("windowTo").value = text(60 * Math.max(fixed, moving));
    target.requestSubmit();
  };
  plot.setPointerCapture(event.pointerId);
  plot.addEventListener("pointermove", move);
  plot.addEventListener("pointerup", end);
  plot.addEventListener("pointercancel", end);
}

export function startWindow() {
  document.addEventListener("pointerdown", begin);
  let waiting;
  document.addEventListener("keydown", (event) => {
    const field = event.target.closest?.("form[data-window] input");
    if (!field || (event.key !== "ArrowUp" && event.key !== "ArrowDown")) {
      return;
    }
    const now = seconds(field.value);
    if (Number.isNaN(now)) {
      return;
    }
    event.preventDefault();
    field.value = text(now + (event.key === "ArrowUp" ? STEP : -STEP));
    clearTimeout(waiting);
    waiting = setTimeout(() => field.form.requestSubmit(), SETTLED);
  });
}
