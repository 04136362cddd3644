// Writes the style of drawings that leave the application, on paper or as a file: the same rules as on
// the screen, colours put in, and only what readers of SVG 1.1 know.
import { readFileSync, writeFileSync } from "node:fs";

const KNOWN =
  /^(fill|stroke|stroke-width|stroke-dasharray|stroke-linecap|opacity|fill-opacity|font-size|font-weight)$/;
const [target, ...sheets] = process.argv.slice(2);
const colours = Object.fromEntries(
  [...readFileSync("tokens.css", "utf8").split(".dark-bay")[0].matchAll(/(--[\w-]+):\s*([^;]+);/g)].map(
    (m) => [m[1], m[2].trim()],
  ),
);

function declaration(property, value, halo) {
  if (!KNOWN.test(property) || value.includes("(") || (halo && property.startsWith("stroke"))) {
    return "";
  }
  const alpha = value.match(/^(#[0-9a-f]{6})([0-9a-f]{2})$/);
  if (property === "font-weight") {
    return `font-weight:${Number(value) > 550 ? "bold" : "normal"}`;
  }
  return alpha
    ? `${property}:${alpha[1]};fill-opacity:${(parseInt(alpha[2], 16) / 255).toFixed(2)}`
    : `${property}:${value === "transparent" ? "none" : value}`;
}

let out = "";
for (const sheet of sheets) {
  const text = readFileSync(sheet, "utf8").replace(/\/\*[^]*?\*\//g, "");
  for (const [, selector, body] of text.matchAll(/([^{}@]+)\{([^{}]*)\}/g)) {
    const names = selector.split(",").map((s) => s.trim()).filter((s) => !/[:>[#]/.test(s));
    // readers without paint-order would draw the halo of a text over it
    const halo = body.includes("paint-order");
    const kept = [...body.matchAll(/([\w-]+):\s*([^;]+);/g)]
      .map(([, p, v]) => declaration(p, v.trim().replace(/var\((--[\w-]+)\)/g, (_, n) => colours[n]), halo))
      .filter(Boolean);
    if (names.length && kept.length) {
      out += `${names.join(",")}{${kept.join(";")}}\n`;
    }
  }
}
writeFileSync(target, out);
