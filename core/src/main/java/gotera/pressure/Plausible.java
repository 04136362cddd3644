package gotera.pressure;

import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.range.Range;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether the readings can have been at all. What cannot has no curve, and a verdict says so
 * instead of reckoning with it.
 */
final class Plausible {
  /** Less than this above a vacuum no gas space has a pressure (kPa) (our judgement, untested). */
  private static final double NOTHING = 0.5;

  private Plausible() {}

  /** What cannot have been; empty where everything can. */
  static List<Reason> problems(Trace trace, HoldConditions conditions) {
    List<Reason> problems = new ArrayList<>();
    if (trace.size() == 0) {
      return problems;
    }
    double vapour =
        conditions.liquid().millilitres() > 0 && Range.ROOM.holds(conditions.ambient().celsius())
            ? conditions.coolant().vapourPressure(conditions.ambient()).kilopascals()
            : 0;
    double lowest = NOTHING + vapour - conditions.atmosphere().kilopascals();
    double low = trace.lowest().orElseThrow();
    double high = trace.highest().orElseThrow();
    if (!(low >= lowest)) {
      problems.add(Reason.of(Code.BELOW_VACUUM, low, lowest));
    }
    if (!(high <= Range.GAUGE.high())) {
      problems.add(Reason.of(Code.OUT_OF_RANGE, high, Range.GAUGE.high()));
    }
    double length = trace.seconds(trace.size() - 1) - trace.seconds(0);
    if (!Range.TRACE_LENGTH.holds(length)) {
      problems.add(Reason.of(Code.TOO_LONG, length / 3600, Range.TRACE_LENGTH.high() / 3600));
    }
    for (int i = 0; i < trace.size(); i++) {
      if (trace.hasTemperature(i) && !Range.COOLANT.holds(trace.celsius(i))) {
        problems.add(Reason.of(Code.TEMPERATURE_OUTSIDE_TABLE, trace.celsius(i)));
        break;
      }
    }
    return problems;
  }
}
