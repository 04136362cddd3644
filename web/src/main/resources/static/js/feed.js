// A page that is read from afar: the gauge as soon as it is stored, tones for what must be heard, a screen that stays
// on. Everything else on it is renewed with the job, see live.js.
import { beep } from "./ring.js";

let source = null;
let lock = null;
let heard = new Set();

function main() {
  return document.querySelector("[data-feed]");
}

function silenced(word) {
  return localStorage.getItem(`tone-${word}`) === "off";
}

// a signal sounds when it begins, and not again while it lasts
function sound(signals) {
  for (const word of signals) {
    if (!heard.has(word) && !silenced(word)) {
      beep();
    }
  }
  heard = signals;
}

function signals(extra) {
  const said = document.querySelector("[data-signals]");
  return new Set([...(said ? said.dataset.signals.split(" ") : []), ...extra.split(" ")].filter(Boolean));
}

async function stayAwake() {
  const note = document.querySelector("[data-awake]");
  if (!note) {
    return;
  }
  try {
    if (!lock || lock.released) {
      lock = await navigator.wakeLock.request("screen");
    }
    note.textContent = note.dataset.awakeNote;
  } catch {
    note.textContent = note.dataset.asleepNote;
  }
}

function listen() {
  const page = main();
  if (source && (!page || document.hidden || !source.url.endsWith(page.dataset.feed))) {
    source.close();
    source = null;
  }
  if (!page || document.hidden) {
    if (!page && lock) {
      lock.release().catch(() => {});
      lock = null;
    }
    return;
  }
  stayAwake();
  for (const box of page.querySelectorAll("[data-tone]")) {
    box.checked = !silenced(box.dataset.tone);
  }
  sound(signals(""));
  if (source && source.readyState !== EventSource.CLOSED) {
    return;
  }
  source = new EventSource(page.dataset.feed);
  source.onmessage = (event) => {
    const told = JSON.parse(event.data);
    const digits = document.querySelector("[data-feed-gauge]");
    if (digits) {
      digits.textContent = told.gauge;
    }
    sound(signals(told.signals));
  };
  source.onerror = () => {
    if (source && source.readyState === EventSource.CLOSED) {
      setTimeout(listen, 3000);
    }
  };
}

export function startFeed() {
  document.addEventListener("change", (event) => {
    if (event.target.matches("[data-tone]")) {
      localStorage.setItem(`tone-${event.target.dataset.tone}`, event.target.checked ? "on" : "off");
    }
  });
  listen();
  document.addEventListener("visibilitychange", listen);
  document.addEventListener("htmx:afterSettle", listen);
  window.addEventListener("pageshow", listen);
  window.addEventListener("pagehide", () => {
    if (source) {
      source.close();
      source = null;
    }
  });
}
