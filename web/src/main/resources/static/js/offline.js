// Says so when the server does not answer; what was typed stays.
export function startOffline() {
  const notice = document.getElementById("offline");
  if (!notice) {
    return;
  }
  document.addEventListener("htmx:sendError", () => {
    notice.hidden = false;
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.detail.successful) {
      notice.hidden = true;
    }
  });
}
