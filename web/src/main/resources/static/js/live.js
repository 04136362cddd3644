// What others write in the same job shows here: the server tells the page that the job's count moved, and the page
// fetches itself and replaces the parts marked data-live. Forms are never touched. Only a page that is seen listens:
// a browser holds few connections to one server.
const AGAIN = 3000;
const SLOWEST = 60000;

let source = null;
let heard = null;
let pause = AGAIN;

function listen() {
  const page = document.getElementById("page");
  const wanted = page && !document.hidden ? page.dataset.changes || null : null;
  if (wanted === heard && (!source || source.readyState !== EventSource.CLOSED)) {
    return;
  }
  if (source) {
    source.close();
    source = null;
  }
  heard = wanted;
  if (!wanted) {
    return;
  }
  const mine = new EventSource(`${wanted}?seq=${page.dataset.seq}`);
  source = mine;
  mine.onopen = () => {
    pause = AGAIN;
  };
  mine.onmessage = (event) => {
    const now = document.getElementById("page");
    // what was counted before this page was made stands on it already
    if (now && now.dataset.changes === wanted && Number(event.data) > Number(now.dataset.seq)) {
      renew(now, event.data).catch(() => {});
    }
  };
  mine.onerror = () => {
    // the browser asks again by itself, unless it was refused: then later and later
    if (mine.readyState === EventSource.CLOSED) {
      setTimeout(listen, pause);
      pause = Math.min(2 * pause, SLOWEST);
    }
  };
}

async function renew(page, seq) {
  const answer = await fetch(location.href, { headers: { Accept: "text/html", "Gotera-Renews": "true" }, redirect: "error" });
  if (!answer.ok) {
    return;
  }
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
  if (page !== document.getElementById("page")) {
    return; // the page was changed meanwhile by its user
  }
  for (const part of page.querySelectorAll("[data-live]")) {
    const now = fresh.getElementById(part.id);
    // what is said of an entry stays until the next one
    if (now && !part.contains(document.activeElement) && !part.querySelector(".wrong")) {
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
  listen();
  document.addEventListener("visibilitychange", listen);
  document.addEventListener("htmx:afterSettle", listen);
  window.addEventListener("pagehide", () => {
    if (source) {
      source.close();
      source = null;
      heard = null;
    }
  });
  window.addEventListener("pageshow", listen);
}
