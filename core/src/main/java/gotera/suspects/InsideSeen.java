package gotera.suspects;

import gotera.combustion.GasColour;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Observation.GasChecked;
import java.util.stream.Stream;

/**
 * What was seen of the inside, by checks that count.
 *
 * @param gas the fluid turned
 * @param bubbles gas came in the funnel
 * @param wet coolant stood in a cylinder
 */
record InsideSeen(boolean gas, boolean bubbles, boolean wet) {
  static InsideSeen of(Case job) {
    return new InsideSeen(
        job.counting(GasChecked.class).stream()
            .anyMatch(g -> g.notCounted().isEmpty() && g.colour() != GasColour.BLUE),
        job.counting(Bubbled.class).stream()
            .anyMatch(b -> b.notCounted().isEmpty() && b.result().gas()),
        job.counting(InCylinder.class).stream().anyMatch(InCylinder::wet));
  }

  /** By how many kinds of checks. */
  long kinds() {
    return Stream.of(gas, bubbles, wet).filter(Boolean::booleanValue).count();
  }
}
