package gotera.pressure;

import gotera.pressure.trace.Trace;
import gotera.word.Worded;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** What somebody who looks elsewhere must hear of a hold that runs. */
public enum Signal implements Worded {
  /** The gauge should be read again. */
  READING_DUE,
  /** It falls by more than the gauge's noise. */
  DROP_BEGAN,
  /** It shows more than it may. */
  ABOVE_LIMIT,
  /** What is wanted is proven, or can be, by now. */
  LONG_ENOUGH;

  /** A gauge is read by hand each minute (s) (common practice, no source). */
  private static final double READ_EVERY = 60;

  /** Pumped-in air has cooled so long after the valve was shut (s) (our judgement, untested). */
  private static final double COOLED = 30;

  /** Readings of so long are taken together (s) (our judgement). */
  private static final double TOGETHER = 10;

  /** A fall of so many standard deviations is one (1) (our judgement, untested). */
  private static final double SIGMAS = 4;

  /**
   * What is to be heard now.
   *
   * @param trace what was read up to now
   * @param now time on its clock (s)
   * @param byHand whether somebody reads the gauge
   * @param toGo how long it must go on
   */
  public static Set<Signal> of(
      Trace trace, HoldConditions conditions, double now, boolean byHand, Optional<ToGo> toGo) {
    Set<Signal> heard = EnumSet.noneOf(Signal.class);
    if (trace.size() == 0) {
      return heard;
    }
    int last = trace.size() - 1;
    if (byHand && now - trace.seconds(last) >= READ_EVERY) {
      heard.add(READING_DUE);
    }
    double limit = conditions.limit().pressure().kilopascals();
    if (above(trace.gauge(last), limit, conditions.gauge().resolution())) {
      heard.add(ABOVE_LIMIT);
    }
    if (falls(trace, conditions)) {
      heard.add(DROP_BEGAN);
    }
    if (toGo.filter(t -> t.minutes().orElse(1) <= 0).isPresent()) {
      heard.add(LONG_ENOUGH);
    }
    return heard;
  }

  /** Whether a gauge shows more than a limit (kPa), by more than it can be read. */
  public static boolean above(double gauge, double limit, double step) {
    return gauge > limit + step;
  }

  private static boolean falls(Trace trace, HoldConditions conditions) {
    double shut = HoldWindow.shut(trace, conditions);
    double end = trace.seconds(trace.size() - 1);
    Trace begin = trace.between(shut + COOLED, shut + COOLED + TOGETHER);
    Trace now = trace.between(end - TOGETHER, end);
    if (!Double.isFinite(shut) || begin.size() == 0 || end - TOGETHER <= shut + COOLED + TOGETHER) {
      return false;
    }
    double noise = conditions.gauge().noise() * Math.sqrt(1.0 / begin.size() + 1.0 / now.size());
    double told = Math.max(SIGMAS * noise, conditions.gauge().resolution());
    return mean(begin) - mean(now) > told;
  }

  private static double mean(Trace trace) {
    double sum = 0;
    for (int i = 0; i < trace.size(); i++) {
      sum += trace.gauge(i);
    }
    return sum / trace.size();
  }
}
