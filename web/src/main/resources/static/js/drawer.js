// So far stands open beside the bench; where there is no room it is a drawer that starts closed.
export function startDrawer() {
  const wide = matchMedia("(min-width: 1041px)");
  const set = () => {
    for (const drawer of document.querySelectorAll("[data-drawer]")) {
      drawer.open = wide.matches;
    }
  };
  set();
  wide.addEventListener("change", set);
  document.addEventListener("htmx:load", set);
}
