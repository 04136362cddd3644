package gotera.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.coolant.CoolantMixture;
import gotera.fitting.Information;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.LostVolume;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import gotera.testkit.Seeds;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Laws that a rate keeps whatever the curve. */
class RateLawsTests {
  private static final double ATMOSPHERE = 101.325;

  @Test
  void isTheSameInAnyUnitOfPressure() {
    for (Random random : Seeds.of(10).toList()) {
      Trace kilopascals = trace(random);
      Trace.Builder there = Trace.builder();
      for (int i = 0; i < kilopascals.size(); i++) {
        double psi = kilopascals.gauge(i) / PressureUnit.PSI.kilopascals();
        there.reading(
            kilopascals.seconds(i),
            GaugePressure.of(psi, PressureUnit.PSI).kilopascals(),
            kilopascals.celsius(i));
      }
      Close.to("rate", rate(there.build(), 150, 0.3), rate(kilopascals, 150, 0.3), 1e-8);
    }
  }

  @Test
  void doublesWithEverythingThatGives() {
    for (Random random : Seeds.of(10).toList()) {
      Trace trace = trace(random);
      double once = rate(trace, 150, 0.3);
      Close.to("rate", rate(trace, 300, 0.6), 2 * once, 1e-6 * Math.abs(once) + 1e-9);
    }
  }

  @Test
  void addsUpWhereAHoldIsSplit() {
    for (Random random : Seeds.of(50).toList()) {
      double air = Seeds.between(random, 30, 400);
      double hose = Seeds.between(random, 0, 0.6);
      double p1 = Seeds.between(random, 90, 108);
      double p2 = Seeds.between(random, 70, p1);
      LostVolume whole = new LostVolume(air, hose, 0, 0, 110, ATMOSPHERE, 0, 293);
      double first = whole.at(p1, 293, 0);
      // what is left of the liquid makes room for gas
      double later = air + first + hose * (p1 - 110);
      double second = new LostVolume(later, hose, 0, 0, p1, ATMOSPHERE, 0, 293).at(p2, 293, 0);
      Close.to("lost (mL)", first + second, whole.at(p2, 293, 0), 1e-9 * air);
    }
  }

  @Test
  void doesNotSeeADriftThatIsKnown() {
    for (Random random : Seeds.of(10).toList()) {
      double drift = Seeds.between(random, -0.15, 0.15);
      HoldConditions conditions = conditions(150, 0.3);
      TemperatureTrack steady = track(0);
      TemperatureTrack moving = track(drift);
      Trace flat = trace(random);
      Filling cold = Filling.of(flat, conditions, steady);
      Filling warm = Filling.of(flat, conditions, moving);
      Trace.Builder moved = Trace.builder();
      for (int i = 0; i < flat.size(); i++) {
        double lost = cold.lost(flat.seconds(i), flat.gauge(i));
        moved.reading(flat.seconds(i), warm.gauge(flat.seconds(i), lost));
      }
      double without = estimate(flat, conditions, steady).rate();
      double with = estimate(moved.build(), conditions, moving).rate();
      // the drift moves the pressure, and with it what drives the leak
      Close.to("rate", with, without, 0.03 * Math.abs(without) + 1e-6);
    }
  }

  /**
   * How much of what the readings could tell the estimator takes from them: the variance that the
   * information of readings and priors about (offset, rate, size and time constant of settling,
   * size of the slow creep) allows to whoever knows the shape of the creep, over the mean square
   * error, both averaged over the prior. Near its maximum the posterior is not normal, so the ratio
   * may pass one.
   */
  @Test
  void wastesLittleOfWhatTheReadingsTell() {
    double square = 0;
    double bound = 0;
    int runs = 400;
    Gauge gauge = new Gauge(0.01, 0.05, OptionalDouble.empty(), 0, true);
    double scale = Settling.scale(0.3, 150, 110);
    LostVolume system = new LostVolume(150, 0.3, 0, 0, 110, ATMOSPHERE, 2.3393, 293.15);
    double noise = gauge.noise() * system.perKilopascal(110, 293.15, 2.3393);
    HoldConditions conditions =
        Holds.edited(
            conditions(150, 0.3),
            e -> {
              e.gauge = gauge;
              e.coolant = new CoolantMixture(0);
            });
    double[] priors = {
      0, 0, 1 / (scale * scale), 1 / (Settling.LOG_TAU_SD * Settling.LOG_TAU_SD), 1
    };
    SlowCreep creep = SlowCreep.of(0, 110);
    for (Random random : Seeds.of(runs).toList()) {
      double tau = Math.exp(Settling.LOG_TAU + Settling.LOG_TAU_SD * random.nextGaussian());
      double settles = Math.abs(scale * random.nextGaussian());
      SlowCreep.Shape shape = shape(random);
      double most = shape.scale(0.3, 110);
      double creeps = Math.abs(random.nextGaussian());
      Trace.Builder trace = Trace.builder();
      double[][] rows = new double[25][];
      for (int i = 0; i < rows.length; i++) {
        double t = 30 * i;
        double settled = 1 - Math.exp(-t / tau);
        double slower = -settles * (t / tau) * Math.exp(-t / tau);
        double crept = most * creep.at(shape, t);
        rows[i] = new double[] {1, t / 60, settled, slower, crept};
        double shown = system.gauge(settles * settled + creeps * crept, 293.15, 2.3393);
        trace.reading(t, shown + gauge.noise() * random.nextGaussian(), Double.NaN);
      }
      double q = estimate(trace.build(), conditions, track(0)).rate();
      square += q * q / runs;
      bound += Information.variance(rows, noise, priors, 1) / runs;
    }
    double efficiency = bound / square;
    assertThat(efficiency).as("bound over mean square error").isBetween(0.4, 1.2);
  }

  private static RateEstimate estimate(
      Trace trace, HoldConditions conditions, TemperatureTrack temperature) {
    return RateEstimator.estimate(
        trace, conditions, temperature, SlowCreep.of(trace.seconds(0), trace.gauge(0)));
  }

  /** A shape as probable as it is beforehand. */
  private static SlowCreep.Shape shape(Random random) {
    double u = random.nextDouble();
    for (SlowCreep.Shape shape : SlowCreep.Shape.values()) {
      u -= shape.prior();
      if (u < 0) {
        return shape;
      }
    }
    return SlowCreep.Shape.QUARTER;
  }

  private static double rate(Trace trace, double air, double hose) {
    return estimate(trace, conditions(air, hose), track(0)).rate();
  }

  private static TemperatureTrack track(double drift) {
    return new TemperatureTrack(0, new double[] {20, drift}, drift, 0, true, 20);
  }

  private static HoldConditions conditions(double air, double hose) {
    return Holds.edited(
        Holds.conditions(air, 1),
        e -> {
          e.airAndHoses = new AirAndHoses(new Volume(air), hose, 0.05, AirAndHoses.Source.MEASURED);
          e.pumpedUntil = 0;
        });
  }

  private static Trace trace(Random random) {
    double slope = Seeds.between(random, 0.1, 0.8);
    Trace.Builder trace = Trace.builder();
    for (int t = 0; t <= 720; t += 20) {
      trace.reading(t, 110 - slope * t / 60 + 0.05 * random.nextGaussian());
    }
    return trace.build();
  }
}
