package gotera.pressure;

import gotera.coolant.Expansion;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import java.util.List;
import java.util.Optional;

/**
 * What a hold at next to no pressure says of the temperature: what the gauge does there is what
 * temperature does to all of the coolant, which no single probe knows. The little that a leak loses
 * there is taken off again, see {@link #leaked}.
 *
 * @param drift the drift it gives, Ṫ (K/min)
 * @param u its standard uncertainty (K/min)
 * @param gauge mean gauge pressure of the pre-hold (kPa)
 * @param sensitivity θ at that pressure (mL/K)
 */
record PreHold(double drift, double u, double gauge, double sensitivity) {
  /** What a drift changes by on its own between two holds (K/min) (our judgement, untested). */
  private static final double FLOOR = 0.001;

  /** A pre-hold at a tenth of the pressure leaks at most a third of the rate (orifice) (1). */
  private static final double MOST_LEAKED = 0.5;

  static PreHold of(Trace low, Trace window, HoldConditions conditions, double celsius) {
    double mean = PressureTest.meanPressure(low);
    AirAndHoses system = conditions.airAndHoses();
    // no liquid comes or goes by pumping: the gas only has the room that the hoses give
    double air =
        Math.max(
            1,
            system.trappedAir().millilitres() - system.hose() * (window.gauge(0) - low.gauge(0)));
    HoldConditions there =
        conditions.at(
            new GaugePressure(Math.max(0.1, mean)),
            new AirAndHoses(
                new Volume(air), system.hose(), system.relativeUncertainty(), system.source()),
            new HoldConditions.Pumping(
                java.util.OptionalDouble.of(low.seconds(0)), new GaugePressure(low.gauge(0))));
    TemperatureTrack steady =
        new TemperatureTrack(low.seconds(0), new double[] {celsius}, 0, 0, false, celsius);
    RateEstimate raw =
        RateEstimator.estimate(low, there, steady, SlowCreep.of(low.seconds(0), low.gauge(0)));
    Filling filling = Filling.of(low, there, steady);
    double theta = filling.thermalSensitivity(low.seconds(0), low.gauge(0));
    double minutes = (low.seconds(low.size() - 1) - low.seconds(0)) / 60;
    double steps =
        conditions.gauge().stepsStay(low.size())
            ? filling.perKilopascal(low.seconds(0), low.gauge(0))
                * conditions.gauge().resolution()
                / (Math.sqrt(6) * minutes)
            : 0;
    double drift = -raw.rate() / theta;
    double apart = Math.abs(middle(window) - middle(low)) / 60;
    double changes = Math.abs(drift) * apart / Soak.TIME_CONSTANT;
    double u = Math.hypot(Math.hypot(raw.inflatedFitU(), steps) / theta, changes);
    return new PreHold(drift, Math.hypot(u, FLOOR), mean, theta);
  }

  /** The temperature through the hold as this says it, level from elsewhere (°C). */
  TemperatureTrack track(Trace window, double celsius) {
    double minutes = (window.seconds(window.size() - 1) - window.seconds(0)) / 60;
    return new TemperatureTrack(
        window.seconds(0),
        new double[] {celsius, drift},
        drift,
        u,
        true,
        Math.max(celsius, celsius + drift * minutes),
        new TemperatureTrack.Unseen(u / (2 * Soak.TIME_CONSTANT), 0));
  }

  /**
   * Share of the leak's rate at the rated pressure that the pre-hold took for temperature (1).
   *
   * @param laws how probable each law is
   * @param theta θ of the hold (mL/K)
   */
  double leaked(List<LeakLaw.Weight> laws, HoldConditions conditions, double theta) {
    double share = 0;
    for (LeakLaw.Weight w : laws) {
      share += w.probability() * conditions.share(w.law(), gauge);
    }
    return Math.min(MOST_LEAKED, share * theta / sensitivity);
  }

  /** The pre-hold of a trace, if it has one and knows the temperature better than the readings. */
  static Optional<PreHold> better(
      HoldParts parts, Trace window, HoldConditions conditions, TemperatureTrack readings) {
    return parts
        .preHold()
        .filter(low -> known(readings.celsius(low.seconds(0)), conditions))
        .map(low -> of(low, window, conditions, readings.celsius(low.seconds(0))))
        .filter(p -> p.u() < readings.uncertainty());
  }

  /** What the readings of the hold say of the time before it may be far outside of every table. */
  private static boolean known(double celsius, HoldConditions conditions) {
    return !(conditions.liquid().millilitres() > 0)
        || Expansion.covers(Temperature.ofCelsius(celsius));
  }

  private static double middle(Trace t) {
    return (t.seconds(0) + t.seconds(t.size() - 1)) / 2;
  }
}
