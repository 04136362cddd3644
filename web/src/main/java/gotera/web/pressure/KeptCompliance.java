package gotera.web.pressure;

import gotera.formats.HoldDescription.Compliance;
import gotera.formats.HoldDescription.DrawMember;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.Medium;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What air and hoses gave when a test of this job measured it. It holds for a later test that
 * begins at about the same pressure and level; ten kilopascals less are worth some 3 mL of air.
 * What was let out since and not put back is air now.
 *
 * @param from the test it was measured in
 * @param airAndHoses what it gave at the start of that hold
 * @param drawnMl what was let out at its end (mL)
 */
record KeptCompliance(PressureTestView from, AirAndHoses airAndHoses, double drawnMl) {

  /** The newest of a job's tests that measured it. */
  static Optional<KeptCompliance> newest(List<PressureTestView> tests) {
    return tests.stream()
        .filter(t -> t.conditions().medium() == Medium.LIQUID)
        .filter(t -> t.result().rate().isPresent())
        .filter(t -> t.conditions().airAndHoses().source() == AirAndHoses.Source.MEASURED)
        .reduce((a, b) -> b)
        .map(t -> new KeptCompliance(t, t.conditions().airAndHoses(), drawn(t)));
  }

  /**
   * As the description of a new test takes it.
   *
   * @param lower whether nothing was put in since
   */
  Compliance compliance(boolean lower) {
    double air = airAndHoses.trappedAir().millilitres() + (lower ? drawnMl : 0);
    return Compliance.figure(
        OptionalDouble.of(air),
        OptionalDouble.of(airAndHoses.hose()),
        OptionalDouble.of(airAndHoses.relativeUncertainty()),
        true);
  }

  private static double drawn(PressureTestView test) {
    double measuring = test.hold().compliance().draws().stream().mapToDouble(DrawMember::ml).sum();
    return measuring + test.hold().closingDraw().map(DrawMember::ml).orElse(0.0);
  }
}
