// A camera looks at a needle: a still is touched, then a frame a second, cut to the dial, goes to the server, which
// reads it. Nothing is read here.
const SIDE = 360;
const AROUND = 1.18;
const EVERY = 1000;

function find(name) {
  return document.querySelector(`[data-camera-${name}]`);
}

function show(name, shown) {
  const part = find(name);
  if (part) {
    part.hidden = !shown;
  }
}

function entry() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

class Camera {
  constructor(main) {
    this.address = main.dataset.camera;
    this.video = find("video");
    this.still = find("still");
    this.points = [];
    this.cross = { x: 0, y: 0 };
  }

  say(text, wrong) {
    const said = find("said");
    said.textContent = text;
    said.classList.toggle("wrong", Boolean(wrong));
  }

  hint(name) {
    const hint = find("hint");
    hint.textContent = name ? hint.dataset[`hint${name}`] : "";
  }

  async start() {
    if (!navigator.mediaDevices?.getUserMedia) {
      show("needs", true);
      return;
    }
    try {
      this.stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: "environment", width: { ideal: 1280 }, height: { ideal: 720 } },
      });
    } catch {
      show("needs", true);
      return;
    }
    this.video.srcObject = this.stream;
    await this.video.play();
    this.again();
    show("start", false);
  }

  again() {
    clearInterval(this.timer);
    this.points = [];
    find("marks").replaceChildren();
    this.video.hidden = false;
    this.still.hidden = true;
    show("freeze", true);
    show("again", false);
    show("use", false);
    show("stop", false);
    this.say("");
    this.hint("");
  }

  freeze() {
    this.still.width = this.video.videoWidth;
    this.still.height = this.video.videoHeight;
    this.picture = document.createElement("canvas");
    this.picture.width = this.still.width;
    this.picture.height = this.still.height;
    this.picture.getContext("2d").drawImage(this.video, 0, 0);
    this.cross = { x: this.still.width / 2, y: this.still.height / 2 };
    this.video.hidden = true;
    this.still.hidden = false;
    show("freeze", false);
    show("again", true);
    this.draw();
    this.hint("Centre");
    this.still.focus();
  }

  touch(x, y) {
    this.points.push({ x, y });
    if (this.points.length > 1) {
      const mark = find("mark").content.cloneNode(true);
      find("marks").append(mark);
      const fields = find("marks").querySelectorAll("input");
      const field = fields[fields.length - 1];
      field.value = fields.length === 1 ? "0" : "";
      field.focus();
    }
    this.hint("Mark");
    show("use", this.points.length > 2);
    this.draw();
  }

  draw() {
    const g = this.still.getContext("2d");
    g.drawImage(this.picture, 0, 0);
    g.lineWidth = 3;
    for (const [i, p] of this.points.entries()) {
      g.strokeStyle = "#fff";
      g.beginPath();
      g.arc(p.x, p.y, 9, 0, 7);
      g.stroke();
      g.strokeStyle = i === 0 ? "#2b3f96" : "#b8371b";
      g.beginPath();
      g.arc(p.x, p.y, 6, 0, 7);
      g.stroke();
    }
    g.strokeStyle = "#fff";
    g.beginPath();
    g.moveTo(this.cross.x - 14, this.cross.y);
    g.lineTo(this.cross.x + 14, this.cross.y);
    g.moveTo(this.cross.x, this.cross.y - 14);
    g.lineTo(this.cross.x, this.cross.y + 14);
    g.stroke();
  }

  // the square around the dial, in dots of the camera
  cut(source) {
    const [centre, ...marks] = this.points;
    const radius = Math.max(...marks.map((m) => Math.hypot(m.x - centre.x, m.y - centre.y))) * AROUND;
    const canvas = document.createElement("canvas");
    canvas.width = SIDE;
    canvas.height = SIDE;
    canvas.getContext("2d").drawImage(source, centre.x - radius, centre.y - radius, 2 * radius, 2 * radius, 0, 0, SIDE, SIDE);
    this.scale = SIDE / (2 * radius);
    this.left = centre.x - radius;
    this.top = centre.y - radius;
    return new Promise((done) => canvas.toBlob(done, "image/jpeg", 0.92));
  }

  async send(path, fields) {
    const body = new FormData();
    for (const [name, value] of Object.entries(fields)) {
      body.append(name, value);
    }
    const headers = JSON.parse(document.body.getAttribute("hx-headers") || "{}");
    headers.Accept = "application/json";
    try {
      const answer = await fetch(`${this.address}/${path}`, { method: "POST", body, headers, redirect: "error" });
      return await answer.json();
    } catch {
      return { done: false, said: document.getElementById("offline").dataset.lost };
    }
  }

  async use() {
    const still = await this.cut(this.picture);
    const inside = this.points.map((p) => `${((p.x - this.left) * this.scale).toFixed(2)} ${((p.y - this.top) * this.scale).toFixed(2)}`);
    const fields = [...find("marks").querySelectorAll("input")];
    const touched = inside.map((p, i) => (i === 0 ? p : `${p} ${fields[i - 1].value}`)).join("\n");
    const said = await this.send("dial", { touched, still });
    this.say(said.said, !said.done);
    if (said.done) {
      this.video.hidden = false;
      this.still.hidden = true;
      show("use", false);
      show("stop", true);
      this.hint("Watch");
      this.timer = setInterval(() => this.look(false), EVERY);
    }
  }

  async look(last) {
    if (this.busy || !document.contains(this.video)) {
      if (!document.contains(this.video)) {
        this.end();
      }
      return;
    }
    this.busy = true;
    const frame = await this.cut(this.video);
    const said = await this.send("frames", { entry: entry(), frame, last });
    this.say(said.said, !said.done);
    this.busy = false;
  }

  async stop() {
    clearInterval(this.timer);
    while (this.busy) {
      await new Promise((done) => setTimeout(done, 50));
    }
    await this.look(true);
    this.end();
    show("stop", false);
    this.hint("");
  }

  end() {
    clearInterval(this.timer);
    for (const track of this.stream?.getTracks() || []) {
      track.stop();
    }
  }

  async compare(form, end) {
    const said = await this.send("compare", { typed: form.elements.typed.value, end });
    this.say(said.said, !said.done);
  }
}

let camera = null;

function here() {
  const main = document.querySelector("[data-camera]");
  if (!main) {
    camera?.end();
    camera = null;
  } else if (!camera || !document.contains(camera.video)) {
    camera?.end();
    camera = new Camera(main);
  }
  return camera;
}

export function startCamera() {
  document.addEventListener("click", (event) => {
    const now = here();
    if (!now) {
      return;
    }
    for (const what of ["start", "freeze", "again", "use", "stop"]) {
      if (event.target.closest(`[data-camera-${what}]`)) {
        now[what]();
      }
    }
  });
  document.addEventListener("pointerdown", (event) => {
    const still = event.target.closest?.("[data-camera-still]");
    const now = here();
    if (still && now) {
      const box = still.getBoundingClientRect();
      now.touch(((event.clientX - box.left) / box.width) * still.width, ((event.clientY - box.top) / box.height) * still.height);
      event.preventDefault();
    }
  });
  document.addEventListener("keydown", (event) => {
    const now = event.target.closest?.("[data-camera-still]") && here();
    const step = event.shiftKey ? 1 : 8;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (now && way) {
      now.cross.x += way[0] * step;
      now.cross.y += way[1] * step;
      now.draw();
      event.preventDefault();
    } else if (now && event.key === "Enter") {
      now.touch(now.cross.x, now.cross.y);
      event.preventDefault();
    }
  });
  document.addEventListener("submit", (event) => {
    if (event.target.matches("[data-camera-compare]")) {
      event.preventDefault();
      here()?.compare(event.target, event.submitter?.value || "first");
    }
  });
  document.addEventListener("htmx:afterSettle", here);
}
