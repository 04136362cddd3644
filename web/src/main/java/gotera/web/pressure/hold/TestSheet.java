package gotera.web.pressure.hold;

import java.util.List;

/**
 * A pressure test on paper: everything it rests on.
 *
 * @param title its name and when it was
 * @param verdict the verdict with its figure
 * @param detail what it means, and what is missing
 * @param curve the curve as a drawing; empty where nothing was read
 * @param figures every figure and where it comes from
 * @param conditions instruments, limit, rule, and what was assumed
 * @param budget the uncertainty, largest first
 */
public record TestSheet(
    String title,
    String verdict,
    List<String> detail,
    String curve,
    List<Figure> figures,
    List<String> conditions,
    List<String> budget) {
  /** A figure and where it comes from. */
  public record Figure(String name, String value, String from) {}
}
