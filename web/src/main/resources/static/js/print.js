// The button that opens the browser's print dialog; it shows only where it can work.
for (const button of document.querySelectorAll("[data-print]")) {
  button.hidden = false;
  button.addEventListener("click", () => window.print());
}
