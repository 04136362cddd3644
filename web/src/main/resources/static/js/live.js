// What others write in the same job shows here: the page asks whether the job's count moved, and if it
// did, fetches itself and replaces the parts marked data-live. Forms are never touched.
const EVERY = 2000;

async function look() {
  const page = document.getElementById("page");
  const address = page && page.dataset.changes;
  if (!address || document.hidden) {
    return;
  }
  const answer = await fetch(address, { headers: { Accept: "text/plain" }, redirect: "error" });
  if (!answer.ok) {
    return;
  }
  const seq = await answer.text();
  if (seq !== page.dataset.seq && page === document.getElementById("page")) {
    await renew(page, seq);
  }
}

async function renew(page, seq) {
  const answer = await fetch(location.href, { headers: { Accept: "text/html" }, redirect: "error" });
  if (!answer.ok) {
    return;
  }
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
  if (page !== document.getElementById("page")) {
    return; // the page was changed meanwhile by its user
  }
  for (const part of page.querySelectorAll("[data-live]")) {
    const now = fresh.getElementById(part.id);
    if (now && !part.contains(document.activeElement)) {
      for (const [i, details] of [...now.querySelectorAll("details")].entries()) {
        const before = part.querySelectorAll("details")[i];
        details.open = before ? before.open : details.open;
      }
      part.replaceWith(document.adoptNode(now));
      window.htmx.process(document.getElementById(part.id));
    }
  }
  page.dataset.seq = seq;
}

export function startLive() {
  const again = () => setTimeout(() => look().catch(() => {}).finally(again), EVERY);
  again();
}
