// Starts every behaviour; each is a module of its own and works on what it finds on the page.
import { startStopwatch } from "./stopwatch.js";
import { startReading } from "./reading.js";
import { startDrop } from "./drop.js";
import { startDrawer } from "./drawer.js";
import { startRail } from "./rail.js";
import { startKeys } from "./keys.js";
import { startOffline } from "./offline.js";
import { startDrafts } from "./drafts.js";
import { startLive } from "./live.js";
import { startStrokes } from "./strokes.js";
import { startWindow } from "./window.js";
import { startSlide } from "./slide.js";

startStopwatch();
startReading();
startDrop();
startDrawer();
startRail();
startKeys();
startOffline();
startDrafts();
startLive();
startStrokes();
startWindow();
startSlide();
