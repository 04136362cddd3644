// Reading now: the first tap stamps the time, the second says what the gauge shows.
import { minutesAndSeconds } from "./stopwatch.js";

export function startReading() {
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-stamp]");
    if (!button) {
      return;
    }
    const clock = document.querySelector("[data-since]");
    const form = button.form;
    if (clock) {
      const at = form.elements.namedItem("at");
      at.value = minutesAndSeconds(Number(clock.dataset.since));
      button.querySelector("[data-stamp-note]").textContent = `stamped ${at.value}`;
      button.dataset.stamped = "";
    }
    form.elements.namedItem("gauge").focus();
  });
  // a step says the figure by itself: what was half typed must not go with it
  document.addEventListener("click", (event) => {
    const step = event.target.closest("[data-step]");
    if (step) {
      step.form.elements.namedItem("gauge").value = "";
    }
  });
}
