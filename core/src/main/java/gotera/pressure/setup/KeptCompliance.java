package gotera.pressure.setup;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.setup.HoldSetup.Compliance;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What air and hoses gave when a hold of this vehicle measured it. It holds for a later one that
 * begins at about the same pressure and level; ten kilopascals less are worth some 3 mL of air.
 * What was let out since and not put back is air now.
 *
 * @param from the hold it was measured in
 * @param airAndHoses what it gave at the start of that hold
 * @param drawn what was let out at its end (mL)
 */
public record KeptCompliance(PastHold from, AirAndHoses airAndHoses, double drawn) {

  /** The newest of some holds, in order of time, that measured it. */
  public static Optional<KeptCompliance> newest(List<PastHold> holds) {
    return holds.stream()
        .filter(PastHold::ofLiquid)
        .filter(h -> h.result().rate().isPresent())
        .filter(h -> h.conditions().airAndHoses().source() == AirAndHoses.Source.MEASURED)
        .reduce((a, b) -> b)
        .map(h -> new KeptCompliance(h, h.conditions().airAndHoses(), h.drawn()));
  }

  /**
   * As the description of a new hold takes it.
   *
   * @param lower whether nothing was put in since
   */
  public Compliance compliance(boolean lower) {
    double air = airAndHoses.trappedAir().millilitres() + (lower ? drawn : 0);
    return Compliance.figure(
        OptionalDouble.of(air),
        OptionalDouble.of(airAndHoses.hose()),
        OptionalDouble.of(airAndHoses.relativeUncertainty()),
        true);
  }
}
