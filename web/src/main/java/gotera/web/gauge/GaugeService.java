package gotera.web.gauge;

import gotera.device.Silence;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.Usual;
import gotera.range.Range;
import gotera.web.frame.NotFound;
import gotera.web.gauge.GaugeCodes.Code;
import gotera.web.gauge.GaugeRows.Made;
import gotera.web.gauge.GaugeRows.Row;
import gotera.web.gauge.GaugeRows.Stand;
import gotera.web.pressure.PressureService;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Secrets;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which gauges there are, and at which test each stands. */
@Service
public class GaugeService {
  /** A code is good for so long (our judgement). */
  static final Duration CODE_LASTS = Duration.ofMinutes(10);

  /** Random bytes of a code: eight characters, for ten minutes and few tries a minute. */
  private static final int CODE_BYTES = 5;

  private static final int NAME_LENGTH = 60;

  private final GaugeRows rows;
  private final GaugeCodes codes;
  private final PressureService tests;
  private final Identifiers identifiers;
  private final Secrets secrets;
  private final Clock clock;

  GaugeService(
      GaugeRows rows,
      GaugeCodes codes,
      PressureService tests,
      Identifiers identifiers,
      Secrets secrets,
      Clock clock) {
    this.rows = rows;
    this.codes = codes;
    this.tests = tests;
    this.identifiers = identifiers;
    this.secrets = secrets;
    this.clock = clock;
  }

  /**
   * A gauge as pages show it.
   *
   * @param silent whether it was not heard for some time
   * @param test the test it stands at
   * @param missing readings that are on their way, or were never sent
   * @param lost readings it does not have any more
   */
  public record Known(
      UUID id,
      String name,
      double step,
      boolean simulated,
      Optional<Instant> heard,
      boolean silent,
      Optional<UUID> test,
      Optional<Double> last,
      long missing,
      long lost,
      long notKept,
      long notShown) {}

  /** A code that pairs a gauge with a test; shown once and kept nowhere. */
  @Write
  public String offer(UUID testId, String by) {
    tests.where(testId);
    Instant now = clock.instant();
    codes.forgetCodes(now.minus(CODE_LASTS.multipliedBy(10)));
    String code = secrets.code(CODE_BYTES);
    codes.offer(code, testId, now, by);
    return code;
  }

  /** Makes a gauge known and puts it at the test of its code. */
  @Write
  public Message.Paired pair(Message.Pairing pairing) {
    String name = pairing.name() == null ? "" : pairing.name().strip();
    if (name.isEmpty() || name.length() > NAME_LENGTH || name.chars().anyMatch(c -> c < ' ')) {
      throw Refusal.wrong("name", "a name of 1 to " + NAME_LENGTH + " characters");
    }
    Double step = pairing.step();
    if (step == null || !Range.GAUGE_STEP.holds(step)) {
      throw Refusal.wrong("step", "the smallest step of the gauge in kPa");
    }
    String typed =
        pairing.code() == null
            ? ""
            : pairing.code().toLowerCase(Locale.ROOT).replaceAll("[\\s-]", "");
    Instant now = clock.instant();
    Code code =
        codes
            .take(typed, now.minus(CODE_LASTS), now)
            .orElseThrow(
                () ->
                    new Refusal(
                        Refusal.Kind.UNKNOWN, "code", "this code is not good, or not any more"));
    UUID id = identifiers.next();
    Message.Paired paired = new Message.Paired(id.toString(), secrets.token());
    Made made =
        new Made(
            name,
            step,
            Optional.ofNullable(pairing.temperatureStep()).filter(Range.THERMOMETER_STEP::holds),
            Boolean.TRUE.equals(pairing.simulated()));
    rows.add(paired, made, now, code.by());
    stand(id, made, code.test(), code.by());
    return paired;
  }

  /** Puts a gauge at a test; another that stood there stands nowhere. */
  @Write
  public void put(UUID gaugeId, UUID testId, String by) {
    Row gauge = known(gaugeId);
    leave(gaugeId, by);
    stand(gaugeId, gauge.made(), testId, by);
  }

  private void stand(UUID gaugeId, Made made, UUID testId, String by) {
    Instant now = clock.instant();
    rows.at(testId).ifPresent(other -> rows.end(other, now, by));
    rows.begin(gaugeId, testId, now, by);
    tests.edit(testId, hold -> hold.with(read(hold.instruments(), made)));
  }

  /** The instruments of a test that a gauge writes into. */
  private static HoldSetup.Instruments read(HoldSetup.Instruments now, Made made) {
    boolean same = now.gauge().filter(g -> g.resolution() == made.step()).isPresent();
    return new HoldSetup.Instruments(
        same ? now.gauge() : Optional.of(KnownGauge.ofStep(made.step())),
        made.kelvins().map(Usual::thermometer).or(now::thermometer),
        now.ownLeak(),
        now.ownLeakU());
  }

  /** Takes a gauge away from its test. */
  @Write
  public void leave(UUID gaugeId, String by) {
    known(gaugeId);
    rows.stands(gaugeId).stream()
        .filter(s -> s.ended().isEmpty())
        .forEach(s -> rows.end(s, clock.instant(), by));
  }

  /** Its token opens nothing any more. */
  @Write
  public void withdraw(UUID gaugeId, String by) {
    leave(gaugeId, by);
    rows.withdraw(gaugeId, clock.instant(), by);
  }

  private Row known(UUID gaugeId) {
    return rows.locked(gaugeId).orElseThrow(() -> new NotFound("gauge " + gaugeId));
  }

  /** Gauges that may write, the one heard last first. */
  @Transactional(readOnly = true)
  public List<Known> all() {
    List<Stand> standing = rows.standing();
    return rows.all().stream().map(g -> shown(g, standing)).toList();
  }

  /** The gauge that stands at a test. */
  @Transactional(readOnly = true)
  public Optional<Known> at(UUID testId) {
    return rows.at(testId)
        .flatMap(s -> all().stream().filter(g -> g.id().equals(s.gauge())).findFirst());
  }

  private Known shown(Row g, List<Stand> standing) {
    return new Known(
        g.id(),
        g.made().name(),
        g.made().step(),
        g.made().simulated(),
        g.heard(),
        g.heard().map(h -> h.plus(Silence.AFTER).isBefore(clock.instant())).orElse(true),
        standing.stream().filter(s -> s.gauge().equals(g.id())).map(Stand::test).findFirst(),
        g.last(),
        g.received().gaps().stream().mapToLong(r -> r.size()).sum(),
        g.lost().ranges().stream().mapToLong(r -> r.size()).sum(),
        g.left().nowhere(),
        g.left().notShown());
  }
}
