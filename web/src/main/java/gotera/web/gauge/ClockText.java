package gotera.web.gauge;

import gotera.device.DeviceClock;
import gotera.device.DeviceClock.Exchange;
import gotera.device.DeviceClock.Stretch;
import java.util.ArrayList;
import java.util.List;

/**
 * A clock as it is kept: a line for each exchange, "e" and its four times, and each stretch, "s"
 * and its three figures.
 */
final class ClockText {
  private ClockText() {}

  static String of(DeviceClock clock) {
    StringBuilder out = new StringBuilder();
    for (Exchange e : clock.exchanges()) {
      line(out, "e", e.sent(), e.received(), e.answered(), e.heard());
    }
    for (Stretch s : clock.stretches()) {
      line(out, "s", s.from(), s.offset(), s.drift());
    }
    return out.toString();
  }

  private static void line(StringBuilder out, String kind, double... figures) {
    out.append(kind);
    for (double figure : figures) {
      out.append(' ').append(figure);
    }
    out.append('\n');
  }

  static DeviceClock read(String text) {
    List<Exchange> exchanges = new ArrayList<>();
    List<Stretch> stretches = new ArrayList<>();
    for (String line : text.lines().toList()) {
      String[] parts = line.split(" ", -1);
      if (parts[0].equals("e")) {
        exchanges.add(new Exchange(at(parts, 1), at(parts, 2), at(parts, 3), at(parts, 4)));
      } else {
        stretches.add(new Stretch(at(parts, 1), at(parts, 2), at(parts, 3)));
      }
    }
    return new DeviceClock(exchanges, stretches);
  }

  private static double at(String[] parts, int i) {
    return Double.parseDouble(parts[i]);
  }
}
