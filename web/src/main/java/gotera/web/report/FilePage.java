package gotera.web.report;

import gotera.web.pressure.hold.TestSheet;
import java.util.List;

/**
 * Everything of a job on paper, after its one page.
 *
 * @param tests the pressure tests with curve and figures
 * @param circuit the circuit with what was found, as a drawing
 * @param looks what was seen where, in order of time
 * @param pictures the photographs, in order of time
 * @param history who did what when
 */
record FilePage(
    List<TestSheet> tests,
    String circuit,
    List<String> looks,
    List<Picture> pictures,
    List<Done> history) {
  /** A photograph: what is said under it, and where it is, or the picture itself. */
  record Picture(String said, String source) {}

  /** One thing that was done. */
  record Done(String at, String by, String what) {}
}
