package gotera.web.circuit;

/** The style that goes with a drawing that leaves the application: print colours, no fonts. */
final class SvgStyle {
  static final String TEXT =
      ".ground{fill:#fcfaf4}svg{font-family:sans-serif}"
          + ".circuit-body{fill:#e4dccb;stroke:#a89d86;stroke-width:2}"
          + ".circuit-tube{stroke:#a89d86}"
          + ".circuit-wall{stroke:#545c5a;stroke-dasharray:10 7}"
          + ".circuit-hose-edge{fill:none;stroke:#4f625e;stroke-width:20;stroke-linecap:round}"
          + ".circuit-hose{fill:none;stroke:#8fa39e;stroke-width:16;stroke-linecap:round}"
          + ".circuit-flow{fill:none;stroke:#fcfaf4;stroke-width:2;stroke-dasharray:3 11}"
          + ".tie{stroke:#545c5a;stroke-width:1.5}"
          + ".circuit-off{opacity:.35}.joint-touch{fill:none}"
          + ".joint-halo{fill:#b8371b;opacity:.2}"
          + ".circuit-part{fill:#545c5a;font-size:14px;stroke:#fcfaf4;stroke-width:3px;paint-order:stroke}"
          + ".joint-dot{fill:#fcfaf4;stroke:#1e282b;stroke-width:3}"
          + ".joint-dry .joint-dot{fill:#1e282b}"
          + ".joint-wet .joint-dot{fill:#b8371b;stroke:none}"
          + ".joint-label{fill:#1e282b;font-size:13px;font-weight:bold;stroke:#fcfaf4;stroke-width:3px;paint-order:stroke}";

  private SvgStyle() {}

  /** A drawing that stands alone: with its size, its style, and a ground of its own. */
  static String alone(String drawing) {
    return drawing
        .replaceFirst("<svg ", "<svg width=\"1000\" height=\"600\" ")
        .replaceFirst(
            ">",
            "><style>" + TEXT + "</style><rect width=\"1000\" height=\"600\" class=\"ground\"/>");
  }
}
