// A file dropped on a form is taken as if it had been chosen there.
export function startDrop() {
  const zone = (event) => event.target.closest && event.target.closest("[data-drop]");
  document.addEventListener("dragover", (event) => {
    const form = zone(event);
    if (form) {
      event.preventDefault();
      form.dataset.over = "";
    }
  });
  document.addEventListener("dragleave", (event) => {
    const form = zone(event);
    if (form) {
      delete form.dataset.over;
    }
  });
  document.addEventListener("drop", (event) => {
    const form = zone(event);
    if (form && event.dataTransfer.files.length > 0) {
      event.preventDefault();
      delete form.dataset.over;
      form.querySelector("input[type=file]").files = event.dataTransfer.files;
      form.requestSubmit();
    }
  });
}
