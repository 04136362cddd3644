// The circuit can be made larger and moved: plus, minus and nought on the keyboard or the buttons, the
// wheel with Control held, two fingers; moving is scrolling, so arrow keys and one finger work as always.
const LEAST = 1;
const MOST = 4;

function zoom(region, to) {
  const drawing = region.querySelector("svg");
  const was = Number(region.dataset.zoom || 1);
  const now = Math.min(MOST, Math.max(LEAST, to));
  const middleX = (region.scrollLeft + region.clientWidth / 2) / was;
  const middleY = (region.scrollTop + region.clientHeight / 2) / was;
  region.dataset.zoom = String(now);
  drawing.style.setProperty("width", `${100 * now}%`);
  region.scrollLeft = middleX * now - region.clientWidth / 2;
  region.scrollTop = middleY * now - region.clientHeight / 2;
  fingers(region);
}

/** Half a finger, 22 px, in the units of the drawing: what is touched stays 44 px wide however small it is shown. */
function fingers(region) {
  const drawing = region.querySelector("svg");
  const scale = drawing.getBoundingClientRect().width / drawing.viewBox.baseVal.width;
  if (scale > 0) {
    drawing.style.setProperty("--touch", `${22.1 / scale}px`);
  }
}

function buttons(region) {
  if (region.dataset.prepared) {
    return;
  }
  region.dataset.prepared = "true";
  const bar = document.createElement("div");
  bar.className = "zoom";
  for (const [name, label, by] of [
    ["+", "Larger", 1.4],
    ["\u2212", "Smaller", 1 / 1.4],
    ["Fit", "Fit the whole circuit", 0],
  ]) {
    const button = document.createElement("button");
    button.type = "button";
    button.className = "button";
    button.textContent = name;
    button.setAttribute("aria-label", label);
    button.addEventListener("click", () => zoom(document.getElementById(region.id), by === 0 ? 1 : Number(region.dataset.zoom || 1) * by));
    bar.append(button);
  }
  const line = region.parentElement.querySelector(".chips-line");
  if (line) {
    line.querySelector(".zoom")?.remove();
    line.append(bar);
  } else {
    region.before(bar);
  }
}

export function startPan() {
  const prepare = () =>
    document.querySelectorAll("[data-pan]").forEach((region) => {
      buttons(region);
      fingers(region);
    });
  prepare();
  addEventListener("resize", prepare);
  document.addEventListener("htmx:load", prepare);
  document.addEventListener("keydown", (event) => {
    const region = event.target.closest("[data-pan]");
    const by = { "+": 1.4, "-": 1 / 1.4 }[event.key];
    if (region && (by || event.key === "0")) {
      event.preventDefault();
      zoom(region, by ? Number(region.dataset.zoom || 1) * by : 1);
    }
  });
  document.addEventListener(
    "wheel",
    (event) => {
      const region = event.ctrlKey && event.target.closest("[data-pan]");
      if (region) {
        event.preventDefault();
        zoom(region, Number(region.dataset.zoom || 1) * (event.deltaY < 0 ? 1.2 : 1 / 1.2));
      }
    },
    { passive: false },
  );
  const touching = new Map();
  let apart = 0;
  const distance = () => {
    const [a, b] = [...touching.values()];
    return Math.hypot(a.x - b.x, a.y - b.y);
  };
  document.addEventListener("pointerdown", (event) => {
    if (event.pointerType === "touch" && event.target.closest("[data-pan]")) {
      touching.set(event.pointerId, { x: event.clientX, y: event.clientY });
      apart = touching.size === 2 ? distance() : 0;
    }
  });
  document.addEventListener("pointermove", (event) => {
    const region = event.target.closest("[data-pan]");
    if (region && touching.has(event.pointerId)) {
      touching.set(event.pointerId, { x: event.clientX, y: event.clientY });
      if (touching.size === 2 && apart > 0) {
        zoom(region, Number(region.dataset.zoom || 1) * (distance() / apart));
        apart = distance();
      }
    }
  });
  for (const end of ["pointerup", "pointercancel"]) {
    document.addEventListener(end, (event) => touching.delete(event.pointerId));
  }
}
