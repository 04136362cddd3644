// Says so when something did not reach the server, and keeps the page with what was typed. Where the
// answer is a page of another kind (the sign-in page after a long pause), the browser goes there.
export function startOffline() {
  const notice = document.getElementById("offline");
  if (!notice) {
    return;
  }
  const show = () => {
    notice.hidden = false;
  };
  document.addEventListener("htmx:sendError", show);
  document.addEventListener("htmx:responseError", show);
  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.detail.successful) {
      notice.hidden = true;
    }
  });
  document.addEventListener("htmx:beforeSwap", (event) => {
    const answer = event.detail.xhr;
    if (event.detail.shouldSwap && !answer.responseText.includes('id="page"')) {
      event.detail.shouldSwap = false;
      location.assign(answer.responseURL);
    }
  });
}
