package gotera.pressure;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Answers that would decide a test that proved nothing, found by giving the verdict under each:
 * what it would say of this same curve if that were known too. Fewest answers first; a set that
 * contains a smaller one is left out.
 *
 * @param answers what would have to be answered so
 * @param result the verdict then
 */
public record Decider(Set<Answer> answers, PressureTestResult result) {
  /** Compliance once a draw of 20 mL measured it (our judgement, untested). */
  private static final double MEASURED = 0.06;

  private static final double CLOSING = 2; // mL
  private static final int MOST = 3;

  /** What can be answered cheaply. */
  public enum Answer {
    /** It stood overnight before the test. */
    OVERNIGHT("overnight"),
    /** What air and hoses give is measured, and comes out as estimated. */
    AIR_MEASURED("air-measured"),
    /** A probe on the thermostat housing showed it steady. */
    PROBE("probe"),
    /** The closing draw makes the step that is predicted. */
    CLOSING_DRAW("closing-draw");

    private final String word;

    Answer(String word) {
      this.word = word;
    }

    /** The word for it in forms and messages. */
    public String word() {
      return word;
    }
  }

  /** The deciding answers of a test; none where it is decided, or where no answer decides it. */
  public static List<Decider> of(PressureTest test, PressureTestResult result) {
    if (result.verdict() != VerdictKind.NOT_PROVEN
        || result.rate().isEmpty()
        || test.conditions().medium() != Medium.LIQUID) {
      return List.of();
    }
    List<Decider> deciders = new ArrayList<>();
    for (Set<Answer> answers : sets(open(test.conditions(), result.rate().get()))) {
      if (deciders.size() == MOST
          || deciders.stream().anyMatch(d -> answers.containsAll(d.answers()))) {
        continue;
      }
      PressureTestResult then = answered(test, result.rate().get(), answers).analyse();
      if (then.verdict() == VerdictKind.LEAK || then.verdict() == VerdictKind.TIGHT) {
        deciders.add(new Decider(answers, then));
      }
    }
    return List.copyOf(deciders);
  }

  /** What is not known yet. */
  private static List<Answer> open(HoldConditions c, PressureTestResult.Rate rate) {
    List<Answer> open = new ArrayList<>();
    if (!rate.driftMeasured()) {
      if (!(c.soak() instanceof Soak.Overnight)) {
        open.add(Answer.OVERNIGHT);
      }
      open.add(Answer.PROBE);
    }
    AirAndHoses as = c.airAndHoses();
    if (as.source() != AirAndHoses.Source.MEASURED || as.relativeUncertainty() > MEASURED) {
      open.add(Answer.AIR_MEASURED);
    }
    if (c.closingDraw().isEmpty()) {
      open.add(Answer.CLOSING_DRAW);
    }
    return open;
  }

  /** Every set of them that makes sense, the smallest first, in the order of their cost. */
  private static List<Set<Answer>> sets(List<Answer> open) {
    List<Set<Answer>> sets = new ArrayList<>();
    for (int bits = 1; bits < 1 << open.size(); bits++) {
      Set<Answer> set = EnumSet.noneOf(Answer.class);
      for (int i = 0; i < open.size(); i++) {
        if ((bits & 1 << i) != 0) {
          set.add(open.get(i));
        }
      }
      // one of the two says how the temperature was
      if (!(set.contains(Answer.OVERNIGHT) && set.contains(Answer.PROBE))) {
        sets.add(set);
      }
    }
    sets.sort(Comparator.comparingInt(Set::size));
    return sets;
  }

  private static PressureTest answered(
      PressureTest test, PressureTestResult.Rate rate, Set<Answer> answers) {
    HoldConditions c = test.conditions();
    AirAndHoses as = c.airAndHoses();
    AirAndHoses gives =
        answers.contains(Answer.AIR_MEASURED)
            ? new AirAndHoses(
                as.trappedAir(),
                as.hose(),
                Math.min(as.relativeUncertainty(), MEASURED),
                AirAndHoses.Source.MEASURED)
            : as;
    Soak stood =
        answers.contains(Answer.OVERNIGHT)
            ? new Soak.Overnight()
            : answers.contains(Answer.PROBE) ? new Soak.Probed(TemperatureTrack.FLOOR) : c.soak();
    Optional<Draw> closed =
        answers.contains(Answer.CLOSING_DRAW) ? closing(test, rate, gives) : c.closingDraw();
    return new PressureTest(test.trace(), c.knowing(stood, gives, closed));
  }

  /** The draw that would close this hold, with the step that is predicted. */
  private static Optional<Draw> closing(
      PressureTest test, PressureTestResult.Rate rate, AirAndHoses gives) {
    HoldConditions c = test.conditions();
    double end = rate.endPressure();
    double start = new GaugePressure(rate.meanPressure()).above(c.atmosphere()).kilopascals();
    double now = new GaugePressure(end).above(c.atmosphere()).kilopascals();
    AirAndHoses here =
        new AirAndHoses(
            new Volume(gives.trappedAir().millilitres() * start / now),
            gives.hose(),
            gives.relativeUncertainty(),
            gives.source());
    Draw asked = new Draw(new Volume(CLOSING), new GaugePressure(end), new GaugePressure(end - 1));
    double step = asked.predictedStep(here, c.atmosphere());
    return step > 0 && step < end
        ? Optional.of(
            new Draw(new Volume(CLOSING), new GaugePressure(end), new GaugePressure(end - step)))
        : Optional.empty();
  }
}
