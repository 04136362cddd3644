package gotera.suspects;

import gotera.combustion.GasColour;
import gotera.look.LookState;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a finding means, and what it does not: sentences of the trade that ask for nothing (common
 * practice, no source). Rules that ask for something are {@link Flag}s.
 */
public enum Meaning implements Worded {
  /** The newest gas check that counts stayed blue: it lowers suspicion and does not end it. */
  NO_GAS_THEN,
  /** Gas or bubbles alone: either raises, neither condemns a head gasket. */
  EITHER_RAISES,
  /** Coolant in a cylinder, yet no gas: it opens parked or cold, or it is the intake. */
  WET_WITHOUT_GAS,
  /** Pale sludge under the oil cap with a clean dipstick: condensation, perhaps. */
  MAY_BE_CONDENSATION,
  /** Dry in a cold hold, wet while it runs: no cold test proves its repair. */
  NEEDS_ROTATION;

  /** The sentences that apply. */
  public static List<Meaning> of(Case job) {
    InsideSeen inside = InsideSeen.of(job);
    boolean blue =
        job.counting(GasChecked.class).stream()
            .filter(g -> g.notCounted().isEmpty())
            .reduce((a, b) -> b)
            .filter(g -> g.colour() == GasColour.BLUE)
            .isPresent();
    List<Meaning> all = new ArrayList<>();
    add(all, blue, NO_GAS_THEN);
    add(all, inside.kinds() == 1 && !inside.wet(), EITHER_RAISES);
    add(all, inside.wet() && blue && !inside.gas(), WET_WITHOUT_GAS);
    add(all, fluid(job, Fluid.OIL_CAP) && !fluid(job, Fluid.DIPSTICK), MAY_BE_CONDENSATION);
    add(all, needsRotation(job), NEEDS_ROTATION);
    return List.copyOf(all);
  }

  private static void add(List<Meaning> all, boolean applies, Meaning meaning) {
    if (applies) {
      all.add(meaning);
    }
  }

  private static boolean fluid(Case job, Fluid at) {
    return job.counting(FluidSeen.class).stream()
        .filter(f -> f.at() == at)
        .reduce((a, b) -> b)
        .filter(f -> f.saw() == Checked.Look.PALE_EMULSION)
        .isPresent();
  }

  private static boolean needsRotation(Case job) {
    Optional<Held> cold = job.held(false);
    boolean running =
        job.latest().stream().anyMatch(l -> l.state() == LookState.RUNNING && l.wet());
    boolean standing =
        job.latest().stream().anyMatch(l -> l.state() != LookState.RUNNING && l.wet());
    return cold.filter(Rules::steady).isPresent() && running && !standing;
  }
}
