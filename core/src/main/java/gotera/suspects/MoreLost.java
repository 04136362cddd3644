package gotera.suspects;

import gotera.balance.Complaint;
import gotera.coolant.CoolantMixture;
import gotera.evidence.Mode;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The complaint against what was measured, by its hot equivalent.
 *
 * @param apart by how many standard uncertainties more is lost
 * @param tests what the tests exercised
 */
record MoreLost(double apart, List<Scoped> tests) {
  /** Empty where nothing was told or measured. */
  static Optional<MoreLost> of(Case job) {
    Optional<Complaint> told = job.newest(Told.Loss.class).flatMap(Told.Loss::complaint);
    Optional<Outcome.Rate> cold = job.held(false).flatMap(MoreLost::rate);
    if (told.isEmpty() || cold.isEmpty() || job.afterRepair()) {
      return Optional.empty();
    }
    CoolantMixture coolant = new CoolantMixture(CoolantMixture.USUAL_STRENGTH);
    double apart = told.get().apart(cold.get().rate(), cold.get().u(), coolant);
    List<Scoped> tests = new ArrayList<>();
    job.held(false).ifPresent(h -> tests.add(Scoped.of(job.circuit(), AsNow.OPEN, h.scope())));
    Optional<Outcome.Rate> hot = job.held(true).flatMap(MoreLost::rate);
    if (hot.isPresent()) {
      apart = Math.min(apart, told.get().apartHot(hot.get().rate(), hot.get().u()));
      job.held(true).ifPresent(h -> tests.add(Scoped.of(job.circuit(), AsNow.OPEN, h.scope())));
    }
    return Optional.of(new MoreLost(apart, tests));
  }

  private static Optional<Outcome.Rate> rate(Held held) {
    return held.outcome() instanceof Outcome.Rate r ? Optional.of(r) : Optional.empty();
  }

  boolean exercised(String place, Mode mode) {
    return tests.stream().anyMatch(t -> t.exercises(place, mode));
  }
}
