package gotera.pressure;

import gotera.cap.TestLimit;
import gotera.coolant.CoolantMixture;
import gotera.pressure.compliance.AirAndHoses;
import gotera.pressure.compliance.Draw;
import gotera.pressure.law.LeakLaw;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Gauge;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance;
import gotera.pressure.verdict.MakerRule;
import gotera.quantity.AbsolutePressure;
import gotera.quantity.GaugePressure;
import gotera.quantity.LeakRate;
import gotera.quantity.Temperature;
import gotera.quantity.Volume;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything about a hold that is not on its trace.
 *
 * @param rated pressure that rates are quoted at, p_ref: the cap's rating unless the job says
 *     otherwise
 * @param limit highest pressure the test may use
 * @param atmosphere pressure of the surrounding air
 * @param ambient temperature assumed where none was read
 * @param liquid volume of liquid in the system, V_L
 * @param coolant what the liquid is
 * @param airAndHoses what air and hoses give at the start of the hold
 * @param gauge the tester's gauge
 * @param thermometer the thermometer, if one was read
 * @param soak how long the vehicle stood
 * @param ownLeak the tester's own leak, with its standard uncertainty
 * @param acceptance the limit for tight, and the purpose
 * @param makerRule the maker's rule, if there is one
 * @param pumping when pumping ended and from which pressure it started
 * @param earlier holds of the last hour on the same system, the first first
 * @param disturbedMinutesBefore minutes since a higher pressure, a release or a draw, if any (min)
 * @param closingDraw the draw that closes a sign-off, if made
 * @param window part of the trace to use, if chosen
 * @param medium what is pressed through a leak; rates of air are volumes at the rated pressure, or
 *     at one atmosphere into a full vacuum
 */
public record HoldConditions(
    GaugePressure rated,
    TestLimit limit,
    AbsolutePressure atmosphere,
    Temperature ambient,
    Volume liquid,
    CoolantMixture coolant,
    AirAndHoses airAndHoses,
    Gauge gauge,
    Optional<Thermometer> thermometer,
    Soak soak,
    OwnLeak ownLeak,
    Acceptance acceptance,
    Optional<MakerRule> makerRule,
    Pumping pumping,
    List<EarlierHold> earlier,
    OptionalDouble disturbedMinutesBefore,
    Optional<Draw> closingDraw,
    Optional<Window> window,
    Medium medium) {

  /**
   * A pressure held before counts as higher, so that hoses recover from it, from five hundredths
   * more (our judgement, untested) (1).
   */
  public static final double HIGHER = 1.05;

  /** Refuses pressures and volumes that make no test. */
  public HoldConditions {
    earlier = List.copyOf(earlier);
    if (!(rated.kilopascals() > 0) || !(limit.pressure().kilopascals() > 0)) {
      throw new IllegalArgumentException("rated and limit pressure must be positive");
    }
    if (!(liquid.millilitres() > 0) && medium == Medium.LIQUID) {
      throw new IllegalArgumentException("there must be liquid in the system");
    }
  }

  /**
   * What a leak passes at a gauge pressure (kPa), as a share of what it passes at the rated one.
   */
  public double share(LeakLaw law, double gauge) {
    return medium.share(law, gauge, rated.kilopascals(), atmosphere.kilopascals());
  }

  /** The same, so many minutes after a higher pressure. */
  HoldConditions disturbed(OptionalDouble minutes) {
    return new HoldConditions(
        rated,
        limit,
        atmosphere,
        ambient,
        liquid,
        coolant,
        airAndHoses,
        gauge,
        thermometer,
        soak,
        ownLeak,
        acceptance,
        makerRule,
        pumping,
        earlier,
        minutes,
        closingDraw,
        window,
        medium);
  }

  /** The same system held at another pressure, after another pumping. */
  HoldConditions at(GaugePressure pressure, AirAndHoses there, Pumping pumped) {
    return new HoldConditions(
        pressure,
        limit,
        atmosphere,
        ambient,
        liquid,
        coolant,
        there,
        gauge,
        thermometer,
        soak,
        ownLeak,
        acceptance,
        makerRule,
        pumped,
        earlier,
        disturbedMinutesBefore,
        closingDraw,
        window,
        medium);
  }

  /**
   * The tester's own leak.
   *
   * @param rate measured against a plug
   * @param u its standard uncertainty (mL/min)
   */
  public record OwnLeak(LeakRate rate, double u) {
    /** A tester without a leak of its own, or one never checked. */
    public static final OwnLeak NONE = new OwnLeak(new LeakRate(0), 0);
  }

  /**
   * What an earlier hold said of the settling.
   *
   * @param settled volume that settled (mL)
   * @param u its standard uncertainty (mL)
   */
  public record EarlierHold(double settled, double u) {}

  /**
   * The pumping before the hold.
   *
   * @param until when it ended, on the trace's clock (s); if empty, at the first reading
   * @param from gauge pressure it started from
   */
  public record Pumping(OptionalDouble until, GaugePressure from) {}

  /**
   * Part of a trace, both ends included.
   *
   * @param from start, on the trace's clock (s)
   * @param to end (s), later than the start
   */
  public record Window(double from, double to) {
    /** Refuses an empty window. */
    public Window {
      if (!(to > from)) {
        throw new IllegalArgumentException("a window ends after it starts");
      }
    }
  }
}
