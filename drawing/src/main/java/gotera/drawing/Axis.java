package gotera.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A scale from values to positions with round ticks.
 *
 * @param low lowest value
 * @param high highest value
 * @param step distance of the ticks
 * @param from position of the lowest value
 * @param to position of the highest value
 */
record Axis(double low, double high, double step, double from, double to) {

  /** An axis whose ends and ticks are round: about so many ticks. */
  static Axis round(double low, double high, int ticks, double from, double to) {
    double rough = Math.max(high - low, 1e-9) / ticks;
    double power = Math.pow(10, Math.floor(Math.log10(rough)));
    double step = power;
    for (double m : new double[] {1, 2, 5, 10}) {
      step = m * power;
      if (step >= rough - 1e-12) {
        break;
      }
    }
    return new Axis(
        Math.floor(low / step + 1e-9) * step, Math.ceil(high / step - 1e-9) * step, step, from, to);
  }

  /** The same ticks, but the scale begins and ends at the values themselves. */
  Axis tight(double lowest, double highest) {
    return new Axis(lowest, Math.max(highest, lowest + step / 2), step, from, to);
  }

  double at(double value) {
    return from + (value - low) / (high - low) * (to - from);
  }

  double value(double position) {
    return low + (position - from) / (to - from) * (high - low);
  }

  List<Double> ticks() {
    List<Double> ticks = new ArrayList<>();
    double first = Math.ceil(low / step - 1e-6) * step;
    for (int i = 0; first + i * step <= high + step * 1e-6; i++) {
      ticks.add(first + i * step);
    }
    return ticks;
  }

  String label(double tick) {
    int decimals = Math.max(0, (int) Math.ceil(-Math.log10(step) - 1e-9));
    double shown = Math.abs(tick) < step / 2 ? 0 : tick;
    return String.format(Locale.ROOT, "%." + decimals + "f", shown).replace('-', '\u2212');
  }
}
