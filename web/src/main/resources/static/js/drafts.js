// Half-typed input survives a reload, a lost connection and signing out: what stands in a form is kept in
// this browser, for this account only, until the server has taken it. Passwords and files are never kept.
const OLDEST = 14 * 24 * 3600 * 1000;
const BARE = /^[+\-\u2212]?[\d.,]+$/;
const waiting = new Map();
const sent = new Map();
let typedMeanwhile = null;

const account = () => document.body.dataset.account || "";
const key = (form) => `gotera.draft ${account()} ${new URL(form.action).pathname}`;
const kept = (form) => account() && form.method === "post" && !form.querySelector("[type=password]");

function fields(form) {
  return [...form.elements].filter(
    (field) =>
      field.name &&
      !["hidden", "file", "submit", "button", "password"].includes(field.type) &&
      field.tagName !== "FIELDSET",
  );
}

function read(form) {
  const values = {};
  for (const field of fields(form)) {
    if (["radio", "checkbox"].includes(field.type)) {
      values[field.name] = values[field.name] ?? [];
      if (field.checked) {
        values[field.name].push(field.value);
      }
    } else {
      values[field.name] = field.value;
    }
  }
  return values;
}

/** The units that bare numbers of a form are in. */
function units(form) {
  const all = {};
  for (const field of fields(form)) {
    if (field.dataset.unit) {
      all[field.name] = field.dataset.unit;
    }
  }
  return all;
}

/** What was typed in another unit keeps it. */
function inItsUnit(field, value, typedIn) {
  const then = typedIn && typedIn[field.name];
  return then && then !== field.dataset.unit && BARE.test(value.trim()) ? `${value.trim()} ${then}` : value;
}

function write(form, values, typedIn) {
  for (const field of fields(form)) {
    const value = values[field.name];
    if (value === undefined) {
      continue;
    }
    if (["radio", "checkbox"].includes(field.type)) {
      field.checked = value.includes(field.value);
    } else {
      field.value = inItsUnit(field, value, typedIn);
    }
  }
}

function save(form) {
  const version = form.elements.namedItem("version");
  const draft = { at: Date.now(), version: version && version.value, values: read(form), units: units(form) };
  localStorage.setItem(key(form), JSON.stringify(draft));
}

function discard(form) {
  clearTimeout(waiting.get(form));
  waiting.delete(form);
  localStorage.removeItem(key(form));
}

function restore(form) {
  const text = localStorage.getItem(key(form));
  if (!text || form.dataset.draft === "shown") {
    return;
  }
  const draft = JSON.parse(text);
  if (Date.now() - draft.at > OLDEST || JSON.stringify(draft.values) === JSON.stringify(read(form))) {
    if (Date.now() - draft.at > OLDEST) {
      discard(form);
    }
    return;
  }
  write(form, draft.values, draft.units);
  // the version that was read goes with it: a change by someone else is noticed, not overwritten
  const version = form.elements.namedItem("version");
  if (version && draft.version) {
    version.value = draft.version;
  }
  form.dataset.draft = "shown";
  form.prepend(document.getElementById("draft-note").content.cloneNode(true));
  const details = form.closest("details");
  if (details) {
    details.open = true;
  }
}

/** What was typed into a form after it was sent, and where. */
function meanwhile(form) {
  const before = sent.get(form);
  const now = read(form);
  const changed = {};
  for (const [name, value] of Object.entries(now)) {
    if (before && JSON.stringify(before[name]) !== JSON.stringify(value)) {
      changed[name] = value;
    }
  }
  return Object.keys(changed).length > 0 ? { key: key(form), values: changed, units: units(form) } : null;
}

function flush() {
  for (const form of waiting.keys()) {
    clearTimeout(waiting.get(form));
    save(form);
  }
  waiting.clear();
}

function forms() {
  return [...document.querySelectorAll("#page form")].filter(kept);
}

export function startDrafts() {
  const old = Date.now() - OLDEST;
  for (const name of Object.keys(localStorage)) {
    if (name.startsWith("gotera.draft ") && JSON.parse(localStorage.getItem(name)).at < old) {
      localStorage.removeItem(name);
    }
  }
  const show = () => {
    const kept = typedMeanwhile;
    typedMeanwhile = null;
    for (const form of forms()) {
      if (kept && kept.key === key(form)) {
        write(form, kept.values, kept.units);
      } else if (!form.querySelector(".wrong")) {
        restore(form);
      }
    }
  };
  show();
  document.addEventListener("htmx:beforeSend", (event) => {
    flush();
    const form = event.detail.elt.closest && event.detail.elt.closest("form");
    if (form && kept(form)) {
      sent.clear();
      sent.set(form, read(form));
    }
  });
  document.addEventListener("htmx:load", show);
  document.addEventListener("input", (event) => {
    const form = event.target.form;
    if (form && kept(form) && form.closest("#page")) {
      clearTimeout(waiting.get(form));
      waiting.set(form, setTimeout(() => save(form), 200));
    }
  });
  addEventListener("pagehide", flush);
  document.addEventListener("htmx:beforeSwap", (event) => {
    const form = event.detail.requestConfig && event.detail.requestConfig.elt.closest("form");
    const taken = event.detail.xhr.status < 300 && event.detail.xhr.responseText.includes('id="page"');
    if (form && kept(form) && taken) {
      typedMeanwhile = meanwhile(form);
      discard(form);
    }
    flush();
  });
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-draft-discard]");
    if (button) {
      event.preventDefault();
      discard(button.closest("form"));
      location.reload();
    }
  });
}
