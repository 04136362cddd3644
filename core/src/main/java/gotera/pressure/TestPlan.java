package gotera.pressure;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Expansion;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.LostVolume;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import gotera.uncertainty.DecisionLimits;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a hold could prove before it is made: its detection limit from gauge, interval, compliance
 * and temperature, with settling in the model. The slope alone would be far too optimistic.
 *
 * @param gauge the gauge
 * @param intervalMinutes time between readings (min), positive
 * @param system what air and hoses give
 * @param dry pressure of the trapped air without its vapour during the hold
 * @param pressureStep gauge pressure step of the pumping (kPa), positive
 * @param thermalSensitivity θ (mL/K)
 * @param drift Ṫ (K/min) expected
 * @param driftU its standard uncertainty without what a thermometer's log adds (K/min)
 * @param thermometer a thermometer read with the gauge, if its log is to be reckoned with
 * @param pressedMinutes how long it is pressed before it is pumped up again for the hold (min);
 *     none for a first hold
 */
public record TestPlan(
    Gauge gauge,
    double intervalMinutes,
    AirAndHoses system,
    AbsolutePressure dry,
    double pressureStep,
    double thermalSensitivity,
    double drift,
    double driftU,
    Optional<Thermometer> thermometer,
    double pressedMinutes) {
  /**
   * Pumped-in air is still warmer when the valve is shut: 1.5 of 293 K (our judgement, untested).
   */
  private static final double PUMPED_IN_WARMER = 1.5 / 293;

  /** Overnight (h). */
  private static final double LONGEST_STAND = 12;

  /**
   * Temperature may take so much of the acceptance limit that the rest is still to be had (our
   * judgement, untested).
   */
  private static final double THERMAL_PART = 0.9;

  /** Air and hoses known better than this need no draw (1) (our judgement, untested). */
  private static final double WELL_KNOWN = 0.15;

  /** Share of the pressure that must be left for tight (1). */
  public static final double PRESSURE_LEFT = VerdictRules.END_SHARE;

  /** Longest hold that is planned (min): beyond it a vehicle is not left (our judgement). */
  public static final int LONGEST = 120;

  /** A first hold. */
  public TestPlan(
      Gauge gauge,
      double intervalMinutes,
      AirAndHoses system,
      AbsolutePressure dry,
      double pressureStep,
      double thermalSensitivity,
      double drift,
      double driftU,
      Optional<Thermometer> thermometer) {
    this(
        gauge,
        intervalMinutes,
        system,
        dry,
        pressureStep,
        thermalSensitivity,
        drift,
        driftU,
        thermometer,
        0);
  }

  /** The same after it was pressed for so long (min) and pumped up again. */
  public TestPlan pressed(double minutes) {
    return otherwise(gauge, system, thermalSensitivity, driftU, minutes);
  }

  /** Refuses a plan without readings or pressure. */
  public TestPlan {
    if (!(intervalMinutes > 0) || !(pressureStep > 0)) {
      throw new IllegalArgumentException(
          "readings every " + intervalMinutes + " min after a step of " + pressureStep + " kPa");
    }
  }

  /** Standard uncertainty of the fit alone after so many minutes (mL/min). */
  double fitU(double minutes) {
    return new PlannedFit(this).u(minutes);
  }

  /** Standard uncertainty of the drift once the thermometer was read so often (K/min). */
  private double driftU(double minutes, int readings) {
    if (thermometer.isEmpty()) {
      return driftU;
    }
    Thermometer t = thermometer.get();
    // the slope of a line through evenly spaced readings
    double line = t.noise() * Math.sqrt(12.0 / readings) / minutes;
    double steps = t.stepsStay(readings) ? t.resolution() / (Math.sqrt(6) * minutes) : 0;
    return Math.hypot(driftU, Math.hypot(line, steps));
  }

  /** The decision limits after so many minutes, at least one interval (min). */
  public DecisionLimits after(double minutes) {
    int readings = (int) Math.floor(minutes / intervalMinutes + 1e-9) + 1;
    double c = system.total(dry);
    double fit = fitU(minutes);
    double thermal = thermalSensitivity * driftU(minutes, readings);
    double steps =
        gauge.stepsStay(readings) ? c * gauge.resolution() / (Math.sqrt(6) * minutes) : 0;
    double zero = c * gauge.zeroDrift() / minutes;
    double u0 = Math.sqrt(fit * fit + thermal * thermal + steps * steps + zero * zero);
    return new DecisionLimits(
        u0, system.relativeUncertainty(), thermalSensitivity * drift, DecisionLimits.K);
  }

  /**
   * Shortest hold whose detection limit is at most a rate (min), in whole intervals; empty where
   * none up to {@value #LONGEST} min is. The limit only falls with time, so halving finds it.
   */
  public OptionalDouble shortest(double acceptance) {
    int low = 1; // too short, or not even a plan
    int high = Math.max(2, (int) Math.floor(LONGEST / intervalMinutes + 1e-9));
    if (after(high * intervalMinutes).detection() > acceptance) {
      return OptionalDouble.empty();
    }
    while (high - low > 1) {
      int middle = (low + high) / 2;
      if (after(middle * intervalMinutes).detection() <= acceptance) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return OptionalDouble.of(high * intervalMinutes);
  }

  /** The same plan with another amount of trapped air. */
  TestPlan with(AirAndHoses other, double sensitivity) {
    return otherwise(gauge, other, sensitivity, driftU, pressedMinutes);
  }

  /** The same plan with another gauge. */
  TestPlan with(Gauge other) {
    return otherwise(other, system, thermalSensitivity, driftU, pressedMinutes);
  }

  /** The same plan with the drift known otherwise. */
  TestPlan withDriftU(double other) {
    return otherwise(gauge, system, thermalSensitivity, other, pressedMinutes);
  }

  private TestPlan otherwise(
      Gauge read, AirAndHoses gives, double sensitivity, double u, double pressed) {
    return new TestPlan(
        read,
        intervalMinutes,
        gives,
        dry,
        pressureStep,
        sensitivity,
        drift,
        u,
        thermometer,
        pressed);
  }

  /**
   * A plan for a filled system.
   *
   * @param rated pressure of the hold
   * @param celsius temperature of the coolant (°C), within what {@link Expansion} covers
   */
  public static TestPlan forSystem(
      Gauge gauge,
      double intervalMinutes,
      AirAndHoses system,
      GaugePressure rated,
      AbsolutePressure atmosphere,
      Volume liquid,
      CoolantMixture coolant,
      double celsius,
      double drift,
      double driftU,
      Optional<Thermometer> thermometer) {
    Temperature t = Temperature.ofCelsius(celsius);
    double vapour = coolant.vapourPressure(t).kilopascals();
    LostVolume lost =
        new LostVolume(
            system.trappedAir().millilitres(),
            system.hose(),
            liquid.millilitres(),
            Expansion.againstCastings(coolant, t),
            rated.kilopascals(),
            atmosphere.kilopascals(),
            vapour,
            t.kelvins());
    return new TestPlan(
        gauge,
        intervalMinutes,
        system,
        new AbsolutePressure(rated.above(atmosphere).kilopascals() - vapour),
        rated.kilopascals(),
        lost.at(
            rated.kilopascals(),
            t.kelvins() + 1,
            coolant.vapourPressure(new Temperature(t.kelvins() + 1)).kilopascals()),
        drift,
        driftU,
        thermometer);
  }

  /**
   * Share of the pressure that is left after so many minutes of a tight hold: what usually settles,
   * what cooling takes, and what pumped-in air takes as it cools. A tight verdict wants 95 %.
   */
  public double pressureLeft(double minutes) {
    double settles =
        Math.sqrt(2 / Math.PI)
            * Settling.scale(system.hose(), system.trappedAir().millilitres(), pressureStep);
    SlowCreep creep = SlowCreep.of(-60 * pressedMinutes, pressureStep);
    for (SlowCreep.Shape shape : SlowCreep.Shape.values()) {
      settles +=
          shape.prior()
              * Math.sqrt(2 / Math.PI)
              * shape.scale(system.hose(), pressureStep)
              * (creep.at(shape, 60 * minutes) - creep.at(shape, 0));
    }
    double cooled = Math.max(0, -drift) * thermalSensitivity * minutes;
    double pumpedIn = system.trappedAir().millilitres() * PUMPED_IN_WARMER;
    return 1 - (settles + cooled + pumpedIn) / system.total(dry) / pressureStep;
  }

  /** A shorter hold to compare with: a quarter, but of two intervals at least (min). */
  public double shorter(double minutes) {
    return Math.round(10 * Math.max(2 * intervalMinutes, minutes / 4)) / 10.0;
  }

  /** Whether air and hoses are known so badly that measuring them pays. */
  public boolean wantsMeasuredAir() {
    return system.relativeUncertainty() > WELL_KNOWN;
  }

  /** Whether a tight hold of so many minutes should prove a rate of at most {@code acceptance}. */
  public boolean enough(double minutes, double acceptance) {
    return after(minutes).detection() <= acceptance && pressureLeft(minutes) >= PRESSURE_LEFT;
  }

  /**
   * Whether temperature alone forbids a rate to be signed, however long the hold: then stand
   * longer, or measure the temperature.
   */
  public boolean temperatureForbids(double acceptance) {
    return forbids(driftU, acceptance);
  }

  private boolean forbids(double uncertainty, double acceptance) {
    return 2 * DecisionLimits.K * thermalSensitivity * uncertainty > THERMAL_PART * acceptance;
  }

  /**
   * Hours to let the vehicle stand, from hot, until temperature alone no longer forbids a rate (h);
   * empty where no standing is enough without a thermometer or a pre-hold.
   */
  public OptionalDouble stand(double acceptance) {
    for (double hours = 0.5; hours <= LONGEST_STAND; hours += 0.5) {
      if (!forbids(new Soak.Hours(hours).uncertainty(), acceptance)) {
        return OptionalDouble.of(hours);
      }
    }
    return OptionalDouble.empty();
  }
}
