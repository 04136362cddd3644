// After each answer the eyes and the keys are where the work is: a new page begins at its top, with the bench
// in focus; the same page stays where it was, with the field that was in use, or with what is wrong. What was
// chosen on it comes into view with its form, and once a step is done, where it goes on.
let before = null;

/** How to find a control again in the next page. */
function mark(element) {
  if (!element || !element.closest || !element.closest("#page") || element.id === "bench") {
    return null;
  }
  if (element.id) {
    return `#${CSS.escape(element.id)}`;
  }
  const form = element.form;
  if (!form || !element.name) {
    return null;
  }
  const action = `form[action="${CSS.escape(form.getAttribute("action") || "")}"]`;
  const value = element.tagName === "BUTTON" ? `[value="${CSS.escape(element.value)}"]` : "";
  return `${action} [name="${CSS.escape(element.name)}"]${value}`;
}

function show(element) {
  element.focus({ preventScroll: true });
  const box = element.getBoundingClientRect();
  const top = document.querySelector(".top");
  // where it scrolls with the page, the head covers nothing
  const over = Math.max(0, top ? top.getBoundingClientRect().bottom : 0);
  if (box.top < over || box.bottom > innerHeight) {
    element.scrollIntoView({ block: box.height > innerHeight - over ? "start" : "center" });
  }
}

/** What the page is about: another test, or the bench after its set-up, is another page at the same place. */
const about = () =>
  [".top-job", "#bench h1"].map((s) => document.querySelector(s)?.textContent.trim()).join(" · ");

/** What was chosen on the page, where it has a form of its own: a joint of the drawing or of a list. */
const shows = () => document.querySelector("#page [data-shows]");

/** Where it goes on, once that is the thing to do. */
const leads = () => document.querySelector("#page .way-leads #goes-on");

function after() {
  const asked = document.querySelector("#page [data-focus]");
  const wrong = document.querySelector('#page [aria-invalid="true"], #page .wrong-form');
  if (wrong) {
    show(wrong);
  } else if (asked) {
    asked.scrollIntoView({ block: "center" });
    asked.focus({ preventScroll: true });
  } else if (about() === before.about && !before.leads && leads()) {
    show(leads());
  } else if (shows() && shows().dataset.shows !== before.shows) {
    show(shows());
  } else if (about() !== before.about) {
    scrollTo(0, 0);
    document.getElementById("bench")?.focus({ preventScroll: true });
  } else {
    const same = before.mark && document.querySelector(`#page ${before.mark}`);
    if (same) {
      same.focus({ preventScroll: true });
    }
  }
}

export function startFocus() {
  // links of a drawing load the page whole; going back or reloading stays where it was
  if (shows() && performance.getEntriesByType("navigation")[0]?.type === "navigate") {
    show(shows());
  }
  document.addEventListener("htmx:beforeSwap", (event) => {
    if (event.detail.target && event.detail.target.id === "page") {
      before = { about: about(), leads: leads() !== null, shows: shows()?.dataset.shows, mark: mark(document.activeElement) };
    }
  });
  document.addEventListener("htmx:afterSwap", (event) => {
    if (before && event.detail.xhr && event.detail.target && event.detail.target.id === "page") {
      after();
      before = null;
    }
  });
}
