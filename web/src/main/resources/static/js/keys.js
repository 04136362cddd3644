// Single keys for what carries data-key; "?" lists them. They rest while a field is being typed in
// (Escape leaves it), and can be switched off for good.
const OFF = "gotera.keys.off";

function targets() {
  return [...document.querySelectorAll("[data-key]")].filter(
    (element) => element.dataset.key.length === 1 && element.offsetParent !== null,
  );
}

function label(element) {
  return [...element.childNodes]
    .filter((node) => node.nodeName !== "SMALL")
    .map((node) => node.textContent.trim())
    .join(" ");
}

function list(dialog) {
  const terms = dialog.querySelector("[data-keys-list]");
  terms.replaceChildren();
  for (const element of targets()) {
    const key = document.createElement("dt");
    const kbd = document.createElement("kbd");
    kbd.textContent = element.dataset.key;
    key.append(kbd);
    const what = document.createElement("dd");
    what.textContent = label(element);
    terms.append(key, what);
  }
  if (terms.children.length === 0) {
    const none = document.createElement("dd");
    none.textContent = "No single keys here; Tab and Enter reach everything.";
    terms.append(none);
  }
}

export function startKeys() {
  const dialog = document.getElementById("keys");
  if (!dialog) {
    return;
  }
  const on = dialog.querySelector("[data-keys-on]");
  on.checked = localStorage.getItem(OFF) === null;
  on.addEventListener("change", () => {
    if (on.checked) {
      localStorage.removeItem(OFF);
    } else {
      localStorage.setItem(OFF, "1");
    }
  });
  const open = () => {
    list(dialog);
    dialog.showModal();
  };
  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-keys-open]")) {
      open();
    }
  });
  document.addEventListener("keydown", (event) => {
    const typing = event.target.closest("input:not([type=radio], [type=checkbox]), textarea, select");
    if (typing && event.key === "Escape") {
      event.target.blur();
      return;
    }
    if (typing || dialog.open || event.ctrlKey || event.metaKey || event.altKey || !on.checked) {
      return;
    }
    if (event.key === "?") {
      event.preventDefault();
      open();
      return;
    }
    const target = targets().find((element) => element.dataset.key === event.key);
    if (target) {
      event.preventDefault();
      target.focus();
      target.click();
    }
  });
}
