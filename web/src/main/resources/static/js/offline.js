// Says so when something did not reach the server or was refused there, and keeps the page with what was
// typed. Where signing in is asked for (after a long pause), this page is opened again: the browser then
// leads to signing in and back here, where the draft waits.
export function startOffline() {
  const notice = document.getElementById("offline");
  if (!notice) {
    return;
  }
  const show = (text) => {
    notice.textContent = `${text} What you typed is still here.`;
    notice.hidden = false;
  };
  document.addEventListener("htmx:sendError", () => show(notice.dataset.lost));
  document.addEventListener("htmx:responseError", (event) => {
    show(notice.dataset[event.detail.xhr.getResponseHeader("Gotera-Refusal") || "lost"]);
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.detail.successful) {
      notice.hidden = true;
    }
  });
  document.addEventListener("htmx:beforeSwap", (event) => {
    const answer = event.detail.xhr;
    if (event.detail.shouldSwap && !answer.responseText.includes('id="page"')) {
      event.detail.shouldSwap = false;
      if (new URL(answer.responseURL).pathname === "/sign-in") {
        location.reload();
      } else {
        location.assign(answer.responseURL);
      }
    }
  });
}
