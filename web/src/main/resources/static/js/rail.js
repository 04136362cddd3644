// Where the rail is a strip, the step being shown is scrolled into it.
export function startRail() {
  const show = () => {
    const current = document.querySelector(".rail [aria-current]");
    const rail = current && current.closest(".rail");
    if (rail && rail.scrollWidth > rail.clientWidth) {
      rail.scrollLeft = current.offsetLeft - rail.clientWidth / 3;
    }
  };
  show();
  document.addEventListener("htmx:load", show);
}
