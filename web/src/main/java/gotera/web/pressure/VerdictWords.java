package gotera.web.pressure;

import gotera.drawing.VerdictShape;
import gotera.pressure.PressureTestResult;
import gotera.pressure.PressureTestResult.Rate;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.LeakRate;
import gotera.uncertainty.DecisionLimits;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Says a verdict in words, with its shape. */
@Component
public class VerdictWords {
  private static final Set<Code> PRESSURES =
      Set.of(
          Code.ABOVE_LIMIT,
          Code.OUT_OF_RANGE,
          Code.PRESSURE_TOO_LOW,
          Code.FELL_TOO_FAR,
          Code.CLOSING_DRAW_WRONG,
          Code.DROP_WITHIN_STEPS,
          Code.BELOW_VACUUM,
          Code.START_NOT_READ);

  private static final Set<Code> BOUNDS =
      Set.of(Code.UPPER_LIMIT_TOO_HIGH, Code.DETECTION_LIMIT_TOO_HIGH);

  private static final Set<Code> TEMPERATURES =
      Set.of(Code.TOO_WARM, Code.TEMPERATURE_OUTSIDE_TABLE);

  private final Words words;

  VerdictWords(Words words) {
    this.words = words;
  }

  /**
   * A verdict to show.
   *
   * @param kind word of its class, for the style
   * @param shape its shape as SVG
   * @param headline the verdict with its figure
   * @param detail what it means
   * @param reasons what is missing or failed, and what would settle it
   */
  public record Said(
      String kind, String shape, String headline, String detail, List<String> reasons) {}

  /** The verdict of a test. */
  public Said said(PressureTestView test, Figures figures) {
    if (test.pumping()) {
      double rated = test.conditions().rated().kilopascals();
      double gauge = test.trace().gauge(test.trace().size() - 1);
      return new Said(
          "running",
          VerdictShape.running(gauge / rated),
          words.say("verdict.pumping", figures.pressure(rated)),
          words.say("verdict.pumping.detail"),
          List.of());
    }
    return say(
        test.result(),
        test.conditions().rated().kilopascals(),
        test.conditions().acceptance().limit(),
        figures);
  }

  /** The verdict of a result. */
  public Said say(PressureTestResult result, double rated, double accepted, Figures figures) {
    VerdictKind kind = result.verdict();
    return new Said(
        kind.word(),
        VerdictShape.of(kind, missing(result, accepted)),
        headline(result),
        detail(result, rated, accepted, figures),
        result.reasons().stream().map(r -> reason(r, figures)).toList());
  }

  /** Share of a proof that is missing: how far the bound is from the limit. */
  private static double missing(PressureTestResult result, double accepted) {
    return result
        .rate()
        .map(r -> 1 - accepted / Math.max(accepted, Math.max(r.upper(), r.limits().detection())))
        .orElse(VerdictShape.MOST_MISSING);
  }

  private String headline(PressureTestResult result) {
    String key = "verdict." + result.verdict().word();
    if (result.lowerBound().isPresent()) {
      return words.say(
          result.verdict() == VerdictKind.GROSS ? key : key + ".at-least",
          Figures.atLeast(result.lowerBound().getAsDouble()));
    }
    if (result.rate().isEmpty()) {
      return words.say(key + ".no-rate");
    }
    Rate rate = result.rate().get();
    // an interval over zero beside the word leak would contradict itself
    boolean wide =
        result.verdict() == VerdictKind.LEAK && DecisionLimits.halfWidth(rate.u()) >= rate.rate();
    String bound = Double.isFinite(rate.upper()) ? "" : ".no-bound";
    return words.say(
        wide ? key + ".wide" + bound : key,
        Figures.rate(rate.rate(), rate.u()),
        Figures.halfWidth(rate.u()),
        boundOrNone(rate.upper()),
        Figures.twoDigits(rate.leakThreshold()));
  }

  private String detail(PressureTestResult result, double rated, double accepted, Figures figures) {
    String key = "verdict." + result.verdict().word() + ".detail";
    if (result.rate().isEmpty()) {
      return words.say(
          result.verdict() == VerdictKind.GROSS
              ? key
              : key + (result.lowerBound().isPresent() ? ".at-least" : ".no-rate"));
    }
    Rate rate = result.rate().get();
    LeakRate leak = new LeakRate(Math.max(0, rate.rate()));
    String detail =
        words.say(
            key + variant(rate, result),
            figures.pressure(rated),
            figures.pressure(rate.endPressure()),
            figures.volume(Figures.rounded(leak.perDay().millilitres())),
            Figures.twoDigits(rate.hole().orElse(0)),
            Figures.twoDigits(leak.dropsPerMinute()),
            boundOrNone(rate.upper()),
            Figures.plain(accepted),
            Figures.rate(rate.rate(), rate.u()),
            Figures.halfWidth(rate.u()));
    if (result.verdict() == VerdictKind.LEAK && rate.upper() <= accepted) {
      return detail + " " + words.say("verdict.leak.small", Figures.plain(accepted));
    }
    return detail;
  }

  /** Which of the words of a verdict fit: air has no drops. */
  private static String variant(Rate rate, PressureTestResult result) {
    return switch (result.verdict()) {
      case TIGHT -> tight(rate);
      case LEAK -> rate.asCoolant().isPresent() ? ".air" : "";
      case NOT_PROVEN -> Double.isFinite(rate.upper()) ? "" : ".no-bound";
      default -> "";
    };
  }

  /** Which of the words of a tight verdict fit. */
  private static String tight(Rate rate) {
    return rate.asCoolant().isPresent() ? ".air" : rate.pumpedUpAgain() ? ".again" : "";
  }

  private String boundOrNone(double bound) {
    return Double.isFinite(bound) ? Figures.bound(bound) : words.say("verdict.no-bound");
  }

  /** A reason in words. */
  public String reason(Reason reason, Figures figures) {
    List<Object> blanks = new ArrayList<>();
    for (double number : reason.numbers()) {
      if (reason.code() == Code.TOO_FEW_READINGS) {
        blanks.add(number); // a count, which its words choose by
        continue;
      }
      if (BOUNDS.contains(reason.code()) && blanks.isEmpty() && Double.isFinite(number)) {
        blanks.add(Figures.bound(number)); // as everywhere else: a bound is rounded up
        continue;
      }
      blanks.add(
          PRESSURES.contains(reason.code())
              ? figures.pressure(number)
              : TEMPERATURES.contains(reason.code())
                  ? figures.temperature(number, 0)
                  : reason.code() == Code.COMPLIANCE_UNSURE
                      ? Figures.halfWidthPercent(number)
                      : Double.isFinite(number)
                          ? Figures.twoDigits(number)
                          : words.say("verdict.no-bound"));
    }
    return words.say("reason." + reason.code().word(), blanks.toArray());
  }
}
