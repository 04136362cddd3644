// Waits count down on every page and ring when they are due; what other devices began or ended shows
// here too. The server's time counts, for the clock of a phone may be wrong.
import { serverAhead } from "./stopwatch.js";
import { beep, left } from "./ring.js";

const EVERY = 5000;
const RING = 4000;

function tick() {
  let ringing = false;
  for (const wait of document.querySelectorAll("#waits [data-due]")) {
    const rest = Number(wait.dataset.due) - (Date.now() + serverAhead());
    const due = rest <= 0;
    wait.classList.toggle("wait-ringing", due);
    wait.querySelector("[data-left]").textContent = due ? "due now" : left(rest);
    ringing = ringing || due;
  }
  return ringing;
}

async function renew() {
  const list = document.getElementById("waits");
  if (!list || list.dataset.waits !== "true" || document.hidden) {
    return;
  }
  const answer = await fetch("/waits", { headers: { Accept: "text/html" }, redirect: "error" });
  if (!answer.ok) {
    return;
  }
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
  const now = fresh.getElementById("waits");
  const ids = (of) => [...of.querySelectorAll("form")].map((f) => f.getAttribute("action")).join();
  if (now && ids(now) !== ids(list) && !list.contains(document.activeElement)) {
    list.replaceWith(document.adoptNode(now));
    window.htmx.process(document.getElementById("waits"));
    tick();
  }
}

export function startWaits() {
  let rung = 0;
  setInterval(() => {
    if (tick() && Date.now() - rung > RING) {
      rung = Date.now();
      beep();
    }
  }, 500);
  const again = () => setTimeout(() => renew().catch(() => {}).finally(again), EVERY);
  tick();
  again();
}
