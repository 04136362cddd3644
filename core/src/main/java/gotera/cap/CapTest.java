package gotera.cap;

import gotera.quantity.GaugePressure;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A cap on the cap tester: does it open at its stamp, hold just below, and let air in again?
 *
 * @param problems what speaks against it; empty where what was tested is right
 * @param complete whether all three were tested
 */
public record CapTest(List<Problem> problems, boolean complete) {
  /**
   * How far the opening pressure may lie from the stamp, as a share of it (our judgement, untested;
   * makers' figures come first).
   */
  public static final double OPENING_TOLERANCE = 0.12;

  /** A cap holds this share of its stamp (our judgement, untested). */
  public static final double HOLDS_SHARE = 0.85;

  /** The vacuum valve lets air in by this vacuum (kPa) (our judgement, untested). */
  public static final double VACUUM_BY = 10;

  /** Keeps its own copy. */
  public CapTest {
    problems = List.copyOf(problems);
  }

  /** What can be wrong with a cap. */
  public enum Problem implements Worded {
    /** It opens early: coolant boils earlier, and is lost hot. */
    OPENS_EARLY,
    /** It opens late: hoses and radiator see more than they are made for. */
    OPENS_LATE,
    /** It does not hold just below its opening. */
    DOES_NOT_HOLD,
    /** Its vacuum valve does not let air in: hoses are sucked flat. */
    VACUUM_VALVE_STUCK
  }

  /**
   * Judges the readings.
   *
   * @param stamp its rating
   * @param opening pressure at which it opened, if tested
   * @param holds pressure it held, if tested
   * @param vacuum vacuum by which air came in, if tested; as a positive gauge figure (kPa)
   */
  public static CapTest of(
      GaugePressure stamp,
      Optional<GaugePressure> opening,
      Optional<GaugePressure> holds,
      Optional<GaugePressure> vacuum) {
    List<Problem> problems = new ArrayList<>();
    double rated = stamp.kilopascals();
    opening.ifPresent(
        o -> {
          if (o.kilopascals() < rated * (1 - OPENING_TOLERANCE)) {
            problems.add(Problem.OPENS_EARLY);
          } else if (o.kilopascals() > rated * (1 + OPENING_TOLERANCE)) {
            problems.add(Problem.OPENS_LATE);
          }
        });
    if (holds.filter(h -> h.kilopascals() < rated * HOLDS_SHARE).isPresent()) {
      problems.add(Problem.DOES_NOT_HOLD);
    }
    if (vacuum.filter(v -> v.kilopascals() > VACUUM_BY).isPresent()) {
      problems.add(Problem.VACUUM_VALVE_STUCK);
    }
    return new CapTest(problems, opening.isPresent() && holds.isPresent() && vacuum.isPresent());
  }

  /** Whether anything was found wrong. */
  public boolean doubtful() {
    return !problems.isEmpty();
  }
}
