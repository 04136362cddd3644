// Clocks of a guided check run down to a moment by the server's time, and each rings once.
import { serverAhead } from "./stopwatch.js";
import { beep, left } from "./ring.js";

export function startClocks() {
  const rung = new Set();
  setInterval(() => {
    for (const clock of document.querySelectorAll(".clock [data-due]")) {
      const rest = Number(clock.dataset.due) - (Date.now() + serverAhead());
      clock.textContent = rest > 0 ? left(rest) : "now";
      clock.parentElement.classList.toggle("clock-rings", rest <= 0);
      // one that was over before the page was opened is no news
      if (rest <= 0 && rest > -3000 && !rung.has(clock.dataset.due)) {
        rung.add(clock.dataset.due);
        beep();
      }
    }
  }, 500);
}
