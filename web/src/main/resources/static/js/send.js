// One thing at a time. What is pressed while the last entry is being saved waits for it and is then sent
// as it stood; the same pressed twice is sent once. Without this the second answer would find its page gone.
let sending = null;
const waiting = [];

const ofPage = (event) => {
  const target = event.detail.target;
  return target && target.id === "page";
};

const text = (data) => JSON.stringify([...data.entries()].filter(([, value]) => typeof value === "string"));

/** An identifier for an entry of its own. */
function fresh() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
  return hex.replace(/(.{8})(.{4})(.{4})(.{4})(.{12})/, "$1-$2-$3-$4-$5");
}

function action(form, submitter) {
  return submitter && submitter.hasAttribute("formaction") ? submitter.formAction : form.action;
}

function submitted(event) {
  const form = event.target;
  const boosted = form.method === "post" && !form.closest('[hx-boost="false"]');
  if (!boosted || form.querySelector("[type=file]")) {
    return;
  }
  const data = new FormData(form, event.submitter);
  const to = action(form, event.submitter);
  if (!sending) {
    return;
  }
  event.preventDefault();
  event.stopImmediatePropagation();
  const again = sending.form === form;
  const seen = [sending, ...waiting].some((s) => s.form === form && s.to === to && s.text === text(data));
  if (seen) {
    return;
  }
  const entry = { form, to, text: text(data), data };
  if (again) {
    data.set("entryId", fresh());
  }
  waiting.push(entry);
}

function clicked(event) {
  const link = event.target.closest && event.target.closest("#page a[href]");
  const plain = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey;
  if (!sending || !link || !plain || link.target || link.closest('[hx-boost="false"]')) {
    return;
  }
  event.preventDefault();
  event.stopImmediatePropagation();
  if (sending.form) {
    waiting.push({ link: link.href });
  } else {
    location.assign(link.href);
  }
}

function next() {
  const entry = waiting.shift();
  if (!entry) {
    return;
  }
  if (entry.link) {
    location.assign(entry.link);
    return;
  }
  sending = entry;
  window.htmx.ajax("POST", entry.to, {
    source: document.body,
    target: "#page",
    select: "#page",
    swap: "outerHTML show:none settle:0ms",
    values: entry.data,
  });
}

export function startSend() {
  document.addEventListener("submit", submitted, true);
  document.addEventListener("click", clicked, true);
  document.addEventListener("htmx:beforeSend", (event) => {
    if (ofPage(event)) {
      const form = event.detail.elt.closest && event.detail.elt.closest("form");
      const data = form && new FormData(form, event.detail.requestConfig.triggeringEvent?.submitter);
      const to = new URL(event.detail.requestConfig.path, location.href).href;
      sending = sending && !form ? sending : { form, to, text: data ? text(data) : "" };
    }
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (ofPage(event)) {
      sending = null;
      next();
    }
  });
}
