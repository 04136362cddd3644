package gotera.drawing;

/** Builds SVG text: escapes what it is given, keeps coordinates short. */
final class Svg {
  private final StringBuilder out = new StringBuilder(4096);

  /** Opens a drawing with a name that is read aloud. */
  static Svg open(double width, double height, String styleClass, String name) {
    Svg svg = new Svg();
    svg.out
        .append("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 ")
        .append(number(width))
        .append(' ')
        .append(number(height))
        .append("\" class=\"")
        .append(styleClass)
        .append('"');
    if (name.isEmpty()) {
      svg.out.append(" aria-hidden=\"true\" focusable=\"false\">");
    } else {
      svg.out.append(" role=\"img\" aria-label=\"").append(escape(name)).append("\">");
    }
    return svg;
  }

  /** A drawing whose parts are links: a group, so that they stay reachable. */
  static Svg openGroup(double width, double height, String styleClass, String name) {
    Svg svg = open(width, height, styleClass, name);
    int role = svg.out.indexOf("role=\"img\"");
    svg.out.replace(role, role + "role=\"img\"".length(), "role=\"group\"");
    return svg;
  }

  String close() {
    return out.append("</svg>").toString();
  }

  Svg raw(String markup) {
    out.append(markup);
    return this;
  }

  Svg line(double x1, double y1, double x2, double y2, String styleClass) {
    return raw(
        "<line x1=\"%s\" y1=\"%s\" x2=\"%s\" y2=\"%s\" class=\"%s\"/>"
            .formatted(number(x1), number(y1), number(x2), number(y2), styleClass));
  }

  Svg rect(double x, double y, double width, double height, double round, String styleClass) {
    return raw(
        "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\" rx=\"%s\" class=\"%s\"/>"
            .formatted(
                number(x),
                number(y),
                number(Math.max(0, width)),
                number(Math.max(0, height)),
                number(round),
                styleClass));
  }

  Svg circle(double x, double y, double radius, String styleClass) {
    return raw(
        "<circle cx=\"%s\" cy=\"%s\" r=\"%s\" class=\"%s\"/>"
            .formatted(number(x), number(y), number(radius), styleClass));
  }

  Svg path(String d, String styleClass) {
    return raw("<path d=\"" + d + "\" class=\"" + styleClass + "\"/>");
  }

  Svg text(double x, double y, String anchor, String styleClass, String text) {
    return raw(
        "<text x=\"%s\" y=\"%s\" text-anchor=\"%s\" class=\"%s\">%s</text>"
            .formatted(number(x), number(y), anchor, styleClass, escape(text)));
  }

  /** An invisible frame that knows the values at its left and right end. */
  Svg plot(double x, double y, double width, double height, double from, double to) {
    return raw(
        "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\" class=\"curve-plot\""
                .formatted(number(x), number(y), number(width), number(height))
            + " data-from=\""
            + from
            + "\" data-to=\""
            + to
            + "\"/>");
  }

  static String number(double value) {
    // a page has thousands of these: String.format would be most of its cost
    long tenths = Math.round(value * 10);
    long whole = Math.abs(tenths) / 10;
    long rest = Math.abs(tenths) % 10;
    return (tenths < 0 ? "-" : "") + whole + (rest == 0 ? "" : "." + rest);
  }

  static String escape(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
