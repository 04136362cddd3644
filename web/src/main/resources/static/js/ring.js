// A sound, and the time left, for whatever is due at a moment.
let sound;

/** Rings, once somebody has touched the page: before, a browser lets no page sound. */
export function beep() {
  if (!sound || sound.state !== "running") {
    return;
  }
  for (const [i, pitch] of [660, 880, 660].entries()) {
    const tone = sound.createOscillator();
    const loudness = sound.createGain();
    tone.frequency.value = pitch;
    loudness.gain.value = 0.12;
    tone.connect(loudness).connect(sound.destination);
    tone.start(sound.currentTime + 0.22 * i);
    tone.stop(sound.currentTime + 0.22 * i + 0.18);
  }
}

/** Time left, as 4:05 or 1:04:05. */
export function left(milliseconds) {
  const seconds = Math.ceil(milliseconds / 1000);
  const hours = Math.floor(seconds / 3600);
  const minutes = Math.floor((seconds % 3600) / 60);
  const rest = String(seconds % 60).padStart(2, "0");
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, "0")}:${rest}` : `${minutes}:${rest}`;
}

export function startRing() {
  document.addEventListener("pointerdown", () => {
    sound = sound || new AudioContext();
    sound.resume();
  });
}
