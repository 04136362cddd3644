package gotera.practice;

import gotera.evidence.Mode;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;

/** Which places of practice vehicles leak how often, and when they do. */
final class Odds {
  private static final Times OPEN = new Times(0.84, 0.08, 0, 0.08);

  private static final List<Row> ROWS =
      List.of(
          row("pump\\.shaft-seal", 2.2, new Times(0.5, 0.05, 0.45, 0)),
          row("(drive|second)-pump\\.seal", 1.6, new Times(0.55, 0, 0.45, 0)),
          row("timing-cover\\..*", 1.4, new Times(0.5, 0.05, 0.45, 0)),
          row("radiator\\.core", 2.0, new Times(0.66, 0.14, 0, 0.2)),
          row(".*seam", 1.2, new Times(0.6, 0.15, 0, 0.25)),
          row("cap\\.neck|.*tank\\.cap", 1.2, new Times(0.65, 0.35, 0, 0)),
          row("thermostat-housing\\.gasket|outlet-neck\\.(gasket|o-ring)", 1.6, OPEN),
          row("(rear-)?heater-core\\.tubes", 1.4, new Times(0.85, 0.15, 0, 0)),
          row("inside\\.head-gasket", 1.8, new Times(0.4, 0.45, 0, 0.15)),
          row("inside\\.cylinder", 1.0, new Times(0.6, 0, 0, 0.4)),
          row("intake\\..*", 1.0, OPEN),
          row(".*\\.[a-z-]+-end|.*\\.tee|.*\\.(inlet|outlet|return)", 1.0, OPEN),
          row(".*\\.along", 0.6, OPEN),
          row("block\\..*", 0.7, OPEN),
          row("exhaust-cooler\\..*|turbo\\..*", 0.6, new Times(0.5, 0.5, 0, 0)),
          row("(oil|gearbox)-cooler\\.core", 0.5, OPEN),
          row(".*", 0.7, OPEN));

  /** How often each mode is the one. */
  record Times(double always, double heat, double rotation, double cold) {
    Mode drawn(Random random) {
      double at = random.nextDouble() * (always + heat + rotation + cold);
      if (at < always) {
        return Mode.ALWAYS;
      }
      if (at < always + heat) {
        return Mode.HEAT;
      }
      return at < always + heat + rotation ? Mode.ROTATION : Mode.COLD;
    }
  }

  private record Row(Pattern places, double weight, Times times) {}

  private static Row row(String places, double weight, Times times) {
    return new Row(Pattern.compile(places), weight, times);
  }

  private Odds() {}

  private static Row of(String place) {
    return ROWS.stream().filter(r -> r.places().matcher(place).matches()).findFirst().orElseThrow();
  }

  /** How often it leaks, against others. */
  static double weight(String place) {
    return of(place).weight();
  }

  /** When it does. */
  static Mode mode(String place, World world, Random random) {
    boolean other = world == World.OTHER_ODDS && random.nextInt(4) == 0;
    return other ? Mode.values()[random.nextInt(4)] : of(place).times().drawn(random);
  }

  /** What it loses (mL/min): most between 0.2 and 8, few less or more. */
  static double rate(Random random) {
    return Math.max(0.06, Math.min(60, Math.pow(10, 0.1 + 0.55 * random.nextGaussian())));
  }
}
