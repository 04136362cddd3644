/** Drawn dials, and films of them for a browser's camera. Everything here is simulated. */
package gotera.testkit.dial;
