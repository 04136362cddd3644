package gotera.web.safe;

import gotera.circuit.Features.Drive;
import gotera.safe.Opening;
import gotera.timing.CoolDown;
import gotera.web.circuit.EngineTypeService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingService;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is known of a system's heat and pressure, and whether it may be opened. */
@Service
class SafeService {
  static final String CHECK = "safe";
  private static final double USUAL_ROOM = 20;

  private final FindingService findings;
  private final EngineTypeService types;
  private final Clock clock;

  SafeService(FindingService findings, EngineTypeService types, Clock clock) {
    this.findings = findings;
    this.types = types;
    this.clock = clock;
  }

  /**
   * What is known.
   *
   * @param squeezed soft or hard, once somebody squeezed
   * @param celsius the temperature now, as predicted from the last reading (°C)
   * @param cooling how it cools, from the last readings
   * @param sinceLast time since the last reading
   * @param highVoltage whether there is a high-voltage loop
   * @param qualified whether a qualified person said so
   */
  record Known(
      Optional<String> squeezed,
      OptionalDouble celsius,
      Optional<CoolDown> cooling,
      Duration sinceLast,
      boolean highVoltage,
      boolean qualified) {
    /** What may be done. */
    Opening.Verdict verdict() {
      return new Opening(squeezed.map("soft"::equals), celsius, highVoltage, qualified).verdict();
    }

    boolean mayOpen() {
      return verdict() == Opening.Verdict.MAY_OPEN;
    }

    /** Time from now until it is safe to open. */
    Optional<Duration> until() {
      return cooling
          .flatMap(c -> c.until(CoolDown.SAFE_TO_OPEN))
          .map(d -> d.minus(sinceLast))
          .map(d -> d.isNegative() ? Duration.ZERO : d);
    }
  }

  Known known(UUID jobId) {
    List<Finding> all = findings.of(jobId, CHECK);
    Optional<String> squeezed =
        all.stream()
            .map(Finding::saw)
            .filter(s -> s.equals("soft") || s.equals("hard"))
            .reduce((a, b) -> b);
    List<Finding> read = all.stream().filter(f -> f.saw().equals("temperature")).toList();
    boolean highVoltage = types.features(jobId).drive() == Drive.ELECTRIC;
    boolean qualified = all.stream().anyMatch(f -> f.saw().equals("qualified"));
    if (read.isEmpty()) {
      return new Known(
          squeezed,
          OptionalDouble.empty(),
          Optional.empty(),
          Duration.ZERO,
          highVoltage,
          qualified);
    }
    CoolDown cooling = cooling(read);
    Duration since = Duration.between(read.get(read.size() - 1).at(), clock.instant());
    return new Known(
        squeezed,
        OptionalDouble.of(cooling.after(since.toMillis() / 60_000.0)),
        Optional.of(cooling),
        since,
        highVoltage,
        qualified);
  }

  /** From the last two readings where they cool, else with the usual time constant. */
  private static CoolDown cooling(List<Finding> read) {
    Finding last = read.get(read.size() - 1);
    double room = last.second().orElse(USUAL_ROOM);
    double celsius = last.amount().orElse(room);
    if (read.size() > 1) {
      Finding before = read.get(read.size() - 2);
      double minutes = Duration.between(before.at(), last.at()).toMillis() / 60_000.0;
      Optional<CoolDown> measured =
          CoolDown.of(room, before.amount().orElse(celsius), celsius, minutes);
      if (measured.isPresent()) {
        return measured.get();
      }
    }
    return CoolDown.usual(room, celsius);
  }
}
