// Drops by tapping along: each tap is a drop; from the third on, the drops in a minute stand in the field.
export function startTap() {
  const taps = new WeakMap();
  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-tap]");
    if (!button) {
      return;
    }
    const now = performance.now();
    let times = taps.get(button) || [];
    // a pause of half a minute begins anew
    if (times.length > 0 && now - times[times.length - 1] > 30000) {
      times = [];
    }
    times.push(now);
    taps.set(button, times);
    const said = button.querySelector("[data-tap-said]");
    if (times.length < 3) {
      said.textContent = `${times.length} tapped, go on`;
      return;
    }
    const perMinute = (60000 * (times.length - 1)) / (now - times[0]);
    const field = button.form.elements.namedItem("drops");
    field.value = perMinute >= 10 ? String(Math.round(perMinute)) : perMinute.toFixed(1);
    said.textContent = `${times.length} tapped: ${field.value} a minute`;
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
