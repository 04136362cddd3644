package gotera.web.pressure.hold;

import gotera.pressure.verdict.VerdictKind;
import gotera.web.job.StepReporter;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.words.Words;
import gotera.work.Step;
import gotera.work.StepState;
import java.util.Optional;
import java.util.UUID;

/** Tells the rail about the pressure test before or after the repair. */
public class PressureReporter implements StepReporter {
  private final PressureService tests;
  private final Words words;
  private final Phase phase;

  /** For the tests of a phase. */
  public PressureReporter(PressureService tests, Words words, Phase phase) {
    this.tests = tests;
    this.words = words;
    this.phase = phase;
  }

  @Override
  public Step step() {
    return phase.step();
  }

  @Override
  public StepStatus status(UUID jobId) {
    Optional<PressureTestView> test = tests.latest(jobId, phase);
    if (test.isEmpty()) {
      return StepStatus.UNTOUCHED;
    }
    VerdictKind kind = test.get().result().verdict();
    String note = words.say("verdict." + kind.word() + ".short");
    if (test.get().finishedAt().isEmpty()) {
      return new StepStatus(
          StepState.RUNNING, words.say("state.test-running", test.get().number()));
    }
    boolean settled =
        switch (kind) {
          case TIGHT -> true;
          case LEAK, GROSS, STOPPED -> phase == Phase.SEARCH;
          case NOT_COUNTED, NOT_PROVEN -> false;
        };
    return new StepStatus(settled ? StepState.DONE : StepState.AGAIN, note);
  }
}
