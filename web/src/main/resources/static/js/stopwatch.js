// Clocks that run: elements with data-since (epoch ms) show the minutes and seconds since then, with data-left-until
// what is left.
// The server's time counts, for the clock of a phone may be wrong.

import { left } from "./ring.js";

/** Milliseconds that the server's clock is ahead of this one. */
export function serverAhead() {
  const page = document.getElementById("page");
  if (!page || !page.dataset.now) {
    return 0;
  }
  if (!page.dataset.ahead) {
    page.dataset.ahead = String(Number(page.dataset.now) - Date.now());
  }
  return Number(page.dataset.ahead);
}

/** Seconds since a moment, as 4:05. */
export function minutesAndSeconds(since) {
  const seconds = Math.max(0, Math.round((Date.now() + serverAhead() - since) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}

export function startStopwatch() {
  const tick = () => {
    for (const clock of document.querySelectorAll("[data-since]")) {
      clock.textContent = minutesAndSeconds(Number(clock.dataset.since));
    }
    for (const clock of document.querySelectorAll("[data-left-until]")) {
      const rest = Number(clock.dataset.leftUntil) - Date.now() - serverAhead();
      clock.textContent = rest > 0 ? left(rest) : "now";
    }
  };
  serverAhead();
  document.addEventListener("htmx:load", () => serverAhead());
  setInterval(tick, 500);
}
