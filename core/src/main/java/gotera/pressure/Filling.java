package gotera.pressure;

import gotera.coolant.Expansion;
import gotera.pressure.compliance.Loss;
import gotera.pressure.compliance.LostGas;
import gotera.pressure.compliance.LostVolume;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.TemperatureTrack;
import gotera.pressure.trace.Trace;
import gotera.quantity.Temperature;

/** The system at any moment of the hold: what a pressure means in volume through the leak. */
record Filling(Loss loss, TemperatureTrack temperature, HoldConditions conditions) {
  static final double ONE_ATMOSPHERE = 101.325; // kPa

  static Filling of(Trace window, HoldConditions conditions, TemperatureTrack temperature) {
    double start = window.seconds(0);
    Temperature t0 = Temperature.ofCelsius(temperature.celsius(start));
    boolean wet = conditions.liquid().millilitres() > 0;
    double expansion = wet ? Expansion.againstCastings(conditions.coolant(), t0) : 0;
    double air = conditions.airAndHoses().trappedAir().millilitres();
    double hose = conditions.airAndHoses().hose();
    double liquid = conditions.liquid().millilitres();
    double atmosphere = conditions.atmosphere().kilopascals();
    double vapour = vapour(conditions, t0.kelvins());
    Loss loss =
        switch (conditions.medium()) {
          case LIQUID ->
              new LostVolume(
                  air, hose, liquid, expansion, window.gauge(0), atmosphere, vapour, t0.kelvins());
          case GAS, VACUUM ->
              new LostGas(
                  air,
                  hose,
                  liquid,
                  expansion,
                  window.gauge(0),
                  atmosphere,
                  vapour,
                  t0.kelvins(),
                  conditions.medium() == Medium.VACUUM
                      ? ONE_ATMOSPHERE
                      : conditions.rated().kilopascals() + atmosphere - vapour,
                  conditions.medium() == Medium.VACUUM);
        };
    return new Filling(loss, temperature, conditions);
  }

  double lost(double seconds, double gauge) {
    double kelvin = kelvin(seconds);
    return loss.at(gauge, kelvin, vapour(conditions, kelvin));
  }

  double perKilopascal(double seconds, double gauge) {
    double kelvin = kelvin(seconds);
    return loss.perKilopascal(gauge, kelvin, vapour(conditions, kelvin));
  }

  double gauge(double seconds, double lost) {
    double kelvin = kelvin(seconds);
    return loss.gauge(lost, kelvin, vapour(conditions, kelvin));
  }

  /** θ, what a kelvin more imitates at an unchanged pressure (mL/K). */
  double thermalSensitivity(double seconds, double gauge) {
    double kelvin = kelvin(seconds);
    double half = 0.05;
    return (loss.at(gauge, kelvin + half, vapour(conditions, kelvin + half))
            - loss.at(gauge, kelvin - half, vapour(conditions, kelvin - half)))
        / (2 * half);
  }

  private double kelvin(double seconds) {
    return Temperature.ofCelsius(temperature.celsius(seconds)).kelvins();
  }

  /** Water vapour above coolant; what dries in an evacuated system settles instead (kPa). */
  private static double vapour(HoldConditions conditions, double kelvin) {
    boolean none = conditions.medium() == Medium.VACUUM || !(conditions.liquid().millilitres() > 0);
    return none ? 0 : conditions.coolant().vapourPressure(new Temperature(kelvin)).kilopascals();
  }
}
