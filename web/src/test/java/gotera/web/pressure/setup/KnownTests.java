package gotera.web.pressure.setup;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.cap.TestLimit;
import gotera.pressure.compliance.Draw;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.setup.HoldSetup.Compliance;
import gotera.pressure.setup.HoldSetup.KnownGauge;
import gotera.pressure.setup.KeptCompliance;
import gotera.pressure.trace.TraceEvent;
import gotera.quantity.GaugePressure;
import gotera.testkit.Close;
import gotera.web.ApplicationParts;
import gotera.web.cap.CapFacts;
import gotera.web.job.JobService;
import gotera.web.pressure.Phase;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.Readings;
import gotera.web.pressure.Sealing;
import gotera.web.pressure.TypedReading;
import gotera.web.pressure.trace.Reading;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a new test takes from those before it on the same job. */
@ExtendWith(ApplicationParts.class)
class KnownTests {
  private static final CapFacts CAP =
      new CapFacts(
          "110 kPa",
          new GaugePressure(110),
          new TestLimit(new GaugePressure(160), TestLimit.Source.MAKER_TEST_PRESSURE),
          "good");

  private PressureService tests;
  private Readings readings;
  private Sealing sealing;
  private UUID job;

  @BeforeEach
  void begin(ApplicationParts.Beans beans) {
    tests = beans.of(PressureService.class);
    readings = beans.of(Readings.class);
    sealing = beans.of(Sealing.class);
    job = beans.of(JobService.class).begin("someone");
  }

  @Test
  void whatAirAndHosesGaveIsKeptAndWhatWasDrawnIsAirNow() {
    assertThat(known().kept()).isEmpty();
    hold(List.of(Draw.of(20, 109, 92)), 110);
    KeptCompliance kept = known().kept().orElseThrow();
    double air = kept.airAndHoses().trappedAir().millilitres();
    assertThat(air).isPositive();
    Close.to("same level", kept.compliance(false).trappedAirMl().orElseThrow(), air, 0);
    Close.to("nothing put in", kept.compliance(true).trappedAirMl().orElseThrow(), air + 20, 0);
    assertThat(kept.compliance(true).measured()).isTrue();
  }

  @Test
  void sizesAreNotKeptForTheyMeasureNothing() {
    hold(List.of(), 110);
    assertThat(known().kept()).isEmpty();
  }

  @Test
  void whatSettledWithinTheHourIsKnownUnlessPressureWasLetOff() {
    hold(List.of(), 110);
    assertThat(known().earlier()).hasSize(1);
    hold(List.of(Draw.of(20, 109, 92)), 110);
    assertThat(known().earlier()).as("a draw lets off").hasSize(1);
  }

  @Test
  void aHigherPressureShortlyBeforeIsFoundWhenTheValveIsShut() {
    hold(List.of(), 150);
    assertThat(recovers(130)).as("150 kPa a moment ago").isPresent();
    assertThat(recovers(148)).as("nearly as high").isEmpty();
  }

  private SetupReading.Known known() {
    return SetupReading.Known.of(CAP, tests.all(job), Instant.now());
  }

  /** Minutes since a higher pressure, as a test at another pressure finds them. */
  private OptionalDouble recovers(double gauge) {
    UUID test = tests.begin(job, Phase.SEARCH, description(List.of()), "digital", "someone");
    read(test, 1, gauge);
    readings.add(test, Optional.empty(), Optional.of(TraceEvent.Kind.VALVE_SHUT), "someone");
    OptionalDouble minutes = tests.require(test).hold().course().releasedBeforeMin();
    readings.undo(test, false, "someone");
    return minutes;
  }

  private void hold(List<Draw> draws, double gauge) {
    UUID test = tests.begin(job, Phase.SEARCH, description(draws), "digital", "someone");
    readings.addEvent(test, TraceEvent.at(-601, TraceEvent.Kind.VALVE_SHUT), "someone");
    // readings of the last ten minutes, so that they are not in the future of the clock
    for (int i = 0; i <= 10; i++) {
      read(test, -600 + 60 * i, gauge - 0.1 * i);
    }
    sealing.finish(test);
  }

  private void read(UUID test, double seconds, double gauge) {
    readings.add(
        test,
        Optional.of(
            new TypedReading(
                UUID.randomUUID(),
                new Reading(seconds, gauge, OptionalDouble.empty()),
                true,
                false)),
        Optional.empty(),
        "someone");
  }

  private static HoldSetup description(List<Draw> draws) {
    HoldSetup bare =
        HoldSetup.of(
            110,
            6000,
            Compliance.figure(
                    OptionalDouble.of(150), OptionalDouble.empty(), OptionalDouble.empty(), false)
                .withDraws(draws));
    return bare.with(bare.limits().under(110, 160, true))
        .with(HoldSetup.Instruments.of(KnownGauge.ofStep(0.1), Optional.empty()));
  }
}
