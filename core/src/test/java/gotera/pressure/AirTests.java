package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.LostGas;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.Reason;
import gotera.pressure.verdict.Reason.Code;
import gotera.pressure.verdict.VerdictKind;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Tests with air: dry under pressure, and evacuated. */
class AirTests {
  private static final double ATMOSPHERE = 101.325;
  private static final double AIR = 8000; // mL

  @Nested
  class DryUnderPressure {
    @Test
    void aSeepOfAirIsFoundAtTheRatedPressure() {
      int covered = 0;
      for (Random random : Seeds.of(40).toList()) {
        double leak = Seeds.between(random, 20, 80);
        PressureTestResult.Rate rate = hold(leak, 10, random).rate().orElseThrow();
        covered += Math.abs(rate.rate() - leak) <= 1.96 * rate.u() ? 1 : 0;
      }
      assertThat(covered).as("of 40 intervals").isGreaterThanOrEqualTo(35);
    }

    @Test
    void isTightForItsPurposeButNeverSignsOff() {
      PressureTestResult repair = hold(0, 20, new Random(2));
      assertThat(repair.verdict()).isEqualTo(VerdictKind.TIGHT);
      HoldConditions strict =
          Holds.edited(dry(Holds.RATED), e -> e.acceptance = new Acceptance(Purpose.SIGN_OFF, 8));
      PressureTestResult signOff =
          new PressureTest(trace(0, 20, Holds.RATED, new Random(2)), strict).analyse();
      assertThat(signOff.reasons()).extracting(Reason::code).containsExactly(Code.DRY_TEST);
    }

    @Test
    void saysWhatItIsWorthInCoolant() {
      PressureTestResult.Rate rate = hold(50, 10, new Random(3)).rate().orElseThrow();
      double seep = rate.asCoolant().orElseThrow().seep();
      assertThat(seep).isLessThan(rate.asCoolant().orElseThrow().orifice());
      Close.to("as a fine path", rate.rate() / seep, 159, 1);
    }

    private PressureTestResult hold(double leak, double minutes, Random random) {
      return new PressureTest(trace(leak, minutes, Holds.RATED, random), dry(Holds.RATED))
          .analyse();
    }
  }

  @Nested
  class Evacuated {
    @Test
    void aSeepInwardsIsFoundAsAirAtOneAtmosphere() {
      Trace.Builder trace = Trace.builder();
      Random random = new Random(5);
      // by hand: V·dP/dt = Q·(1 − (P/a)²), Q = 40 mL/min at one atmosphere
      double p = 25;
      for (int t = 0; t <= 600; t++) {
        if (t % 5 == 0) {
          trace.reading(t, p - ATMOSPHERE + 0.05 * random.nextGaussian(), 18);
        }
        p += 40 * ATMOSPHERE / AIR * (1 - Math.pow(p / ATMOSPHERE, 2)) / 60;
      }
      PressureTestResult.Rate rate =
          new PressureTest(trace.build(), vacuum()).analyse().rate().orElseThrow();
      Close.to("rate (mL/min)", rate.rate(), 40, 3 * rate.u());
      assertThat(rate.u()).isLessThan(12);
    }

    @Test
    void aRiseThatStopsAtTheVapourPressureIsNoLeak() {
      Trace.Builder trace = Trace.builder();
      Random random = new Random(6);
      for (int t = 0; t <= 900; t += 5) {
        double dries = 1.7 * (1 - Math.exp(-t / 90.0));
        trace.reading(t, -80 + dries + 0.05 * random.nextGaussian(), 18);
      }
      PressureTestResult result = new PressureTest(trace.build(), vacuum()).analyse();
      PressureTestResult.Rate rate = result.rate().orElseThrow();
      assertThat(result.verdict()).isNotEqualTo(VerdictKind.LEAK);
      Close.to("rate (mL/min)", rate.rate(), 0, 2 * rate.u());
      assertThat(rate.settled()).isGreaterThan(60); // mL at one atmosphere
    }

    private HoldConditions vacuum() {
      return Holds.edited(dry(Holds.RATED), e -> e.medium = Medium.VACUUM);
    }
  }

  @Test
  void theAmountOfGasAndItsInverseAgree() {
    for (Random random : Seeds.of(50).toList()) {
      LostGas gas =
          new LostGas(
              Seeds.between(random, 100, 9000),
              Seeds.between(random, 0, 0.6),
              Seeds.between(random, 0, 8000),
              4e-4,
              110,
              ATMOSPHERE,
              1,
              293,
              210,
              random.nextBoolean());
      double p = Seeds.between(random, 80, 130);
      double kelvin = Seeds.between(random, 288, 298);
      Close.to("gauge", gas.gauge(gas.at(p, kelvin, 1.2), kelvin, 1.2), p, 1e-7);
      double slope = (gas.at(p + 0.01, kelvin, 1.2) - gas.at(p - 0.01, kelvin, 1.2)) / 0.02;
      Close.to("slope", Math.abs(slope), gas.perKilopascal(p, kelvin, 1.2), 1e-6 * Math.abs(slope));
    }
  }

  @Test
  void nothingPassesWithoutADifferenceOfPressure() {
    for (var law : gotera.pressure.law.LeakLaw.values()) {
      Close.to("gas", Medium.GAS.share(law, 0, 110, ATMOSPHERE), 0, 0);
      Close.to("gas at the rated pressure", Medium.GAS.share(law, 110, 110, ATMOSPHERE), 1, 1e-12);
      Close.to("vacuum", Medium.VACUUM.share(law, 0, 110, ATMOSPHERE), 0, 0);
      Close.to("full vacuum", Medium.VACUUM.share(law, -ATMOSPHERE, 110, ATMOSPHERE), 1, 1e-12);
    }
    // choked: an opening passes the same until the pressure inside is 0.528 of that outside
    double half = Medium.VACUUM.share(gotera.pressure.law.LeakLaw.ORIFICE, -50, 110, ATMOSPHERE);
    Close.to("choked", half, 1, 1e-12);
  }

  private static HoldConditions dry(double rated) {
    return Holds.edited(
        Holds.conditions(AIR, 1),
        e -> {
          e.medium = Medium.GAS;
          e.liquid = new Volume(0);
          e.airAndHoses = new AirAndHoses(new Volume(AIR), 0.28, 0.05, AirAndHoses.Source.MEASURED);
          e.acceptance = new Acceptance(Purpose.REPAIR, 8);
        });
  }

  /** By hand: V·dP/dt = −q·P_ref·(P² − a²)/(P_ref² − a²), a volume q at the rated pressure. */
  private static Trace trace(double leak, double minutes, double rated, Random random) {
    Trace.Builder trace = Trace.builder();
    trace.event(TraceEvent.at(0, TraceEvent.Kind.VALVE_SHUT));
    double reference = rated + ATMOSPHERE;
    double p = reference;
    for (int t = 0; t <= minutes * 60; t++) {
      if (t % 5 == 0) {
        trace.reading(t, p - ATMOSPHERE + 0.05 * random.nextGaussian(), 18);
      }
      double share =
          (p * p - ATMOSPHERE * ATMOSPHERE) / (reference * reference - ATMOSPHERE * ATMOSPHERE);
      p -= leak * reference * share / AIR / 60;
    }
    return trace.build();
  }
}
