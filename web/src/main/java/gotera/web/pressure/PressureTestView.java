package gotera.web.pressure;

import gotera.pressure.HoldConditions;
import gotera.pressure.PressureTestResult;
import gotera.pressure.Pumping;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.Medium;
import gotera.pressure.setup.Assumption;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.PastHold;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A pressure test as pages and other features see it.
 *
 * @param id its identifier
 * @param jobId its job
 * @param phase what it is for
 * @param number its number within the phase, from 1
 * @param startedAt when its clock began
 * @param readingMode needle or digital
 * @param loop the loop that is tested, where the vehicle has more than one; else empty
 * @param finishedAt when it was sealed
 * @param hold its description
 * @param conditions the description with its defaults
 * @param assumed members that took a default
 * @param trace what was read, without what was taken back
 * @param result the verdict: as it was given where the test is sealed, else as of now
 * @param writtenLater whether its readings are written down afterwards
 * @param version version of the row, to notice someone else's change
 */
public record PressureTestView(
    UUID id,
    UUID jobId,
    Phase phase,
    int number,
    Instant startedAt,
    String readingMode,
    String loop,
    Optional<Instant> finishedAt,
    HoldSetup hold,
    HoldConditions conditions,
    List<Assumption> assumed,
    Trace trace,
    PressureTestResult result,
    boolean writtenLater,
    int version) {

  /** Word of how it is known what air and hoses give. */
  public String givenBy() {
    AirAndHoses.Source source =
        result()
            .rate()
            .map(r -> r.airAndHoses().source())
            .orElse(conditions().airAndHoses().source());
    boolean measured = source == AirAndHoses.Source.MEASURED;
    if (measured && !hold().compliance().isMeasuredHere()) {
      return hold().medium() == Medium.LIQUID ? "before" : "capacity";
    }
    return source.word();
  }

  /** When the valve was shut, on the trace's clock (s). */
  public Optional<Double> valveShut() {
    return trace.last(TraceEvent.Kind.VALVE_SHUT).map(TraceEvent::seconds);
  }

  /** Whether the valve is shut now: it was, and nobody pumped since. */
  public boolean holding() {
    return Pumping.isShut(trace);
  }

  /** Whether somebody pumps now, so that nothing is said of it as a hold yet. */
  public boolean pumping() {
    return finishedAt.isEmpty() && Pumping.goesOn(trace, conditions, result);
  }

  /** What it was computed under, and what of that was assumed. */
  public CompletedHold completed() {
    return new CompletedHold(conditions, assumed);
  }

  /** This test as one that a later test of the vehicle takes into account. */
  public PastHold past() {
    return new PastHold(id.toString(), startedAt, finishedAt, hold, conditions, trace, result);
  }

  /**
   * The same as what is held against a reading that is typed.
   *
   * @param now time on its clock now (s)
   */
  public RunningTest running(double now) {
    return new RunningTest(
        new Where(id, jobId, phase),
        now,
        origin(),
        trace.size() == 0
            ? OptionalDouble.empty()
            : OptionalDouble.of(trace.gauge(trace.size() - 1)),
        hold,
        writtenLater);
  }

  /** Gauge pressure at the start of the hold (kPa). */
  public double startGauge() {
    double from = result.window().map(HoldConditions.Window::from).orElse(origin());
    int i = 0;
    while (i < trace.size() - 1 && trace.seconds(i) < from) {
      i++;
    }
    return trace.gauge(i);
  }

  /** Zero of the time that is shown and typed: when the valve was shut, else the beginning (s). */
  public double origin() {
    return valveShut().orElse(0.0);
  }
}
