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
 * Everything about a hold that is not on its trace, by what belongs together.
 *
 * @param limits pressures, what counts as tight, and the maker's rule
 * @param surroundings the air around, and how long the vehicle stood in it
 * @param system what is filled, and what it gives
 * @param instruments what it is measured with
 * @param course what was done to it before, during and after
 */
public record HoldConditions(
    Limits limits,
    Surroundings surroundings,
    FilledSystem system,
    Instruments instruments,
    Course course) {

  /**
   * A pressure held before counts as higher, so that hoses recover from it, from five hundredths
   * more (our judgement, untested) (1).
   */
  public static final double HIGHER = 1.05;

  /** Refuses a test of liquid without liquid. */
  public HoldConditions {
    if (!(system.liquid().millilitres() > 0) && system.medium() == Medium.LIQUID) {
      throw new IllegalArgumentException("there must be liquid in the system");
    }
  }

  /**
   * Pressures of a test and what it is held against.
   *
   * @param rated pressure that rates are quoted at, p_ref: the cap's rating unless the job says
   *     otherwise
   * @param limit highest pressure the test may use
   * @param acceptance the limit for tight, and the purpose
   * @param makerRule the maker's rule, if there is one
   */
  public record Limits(
      GaugePressure rated, TestLimit limit, Acceptance acceptance, Optional<MakerRule> makerRule) {
    /** Refuses pressures that make no test. */
    public Limits {
      if (!(rated.kilopascals() > 0) || !(limit.pressure().kilopascals() > 0)) {
        throw new IllegalArgumentException("rated and limit pressure must be positive");
      }
    }
  }

  /**
   * The air around.
   *
   * @param atmosphere its pressure
   * @param ambient temperature assumed where none was read
   * @param soak how long the vehicle stood
   */
  public record Surroundings(AbsolutePressure atmosphere, Temperature ambient, Soak soak) {}

  /**
   * What is under pressure.
   *
   * @param liquid volume of liquid in the system, V_L
   * @param coolant what the liquid is
   * @param airAndHoses what air and hoses give at the start of the hold
   * @param medium what is pressed through a leak; rates of air are volumes at the rated pressure,
   *     or at one atmosphere into a full vacuum
   */
  public record FilledSystem(
      Volume liquid, CoolantMixture coolant, AirAndHoses airAndHoses, Medium medium) {}

  /**
   * What it is measured with.
   *
   * @param gauge the tester's gauge
   * @param thermometer the thermometer, if one was read
   * @param ownLeak the tester's own leak, with its standard uncertainty
   */
  public record Instruments(Gauge gauge, Optional<Thermometer> thermometer, OwnLeak ownLeak) {}

  /**
   * What was done.
   *
   * @param pumping when pumping ended and from which pressure it started
   * @param earlier holds of the last hour on the same system, the first first
   * @param disturbedMinutesBefore minutes since a higher pressure, a release or a draw, if any
   * @param closingDraw the draw that closes a sign-off, if made
   * @param window part of the trace to use, if chosen
   */
  public record Course(
      Pumping pumping,
      List<EarlierHold> earlier,
      OptionalDouble disturbedMinutesBefore,
      Optional<Draw> closingDraw,
      Optional<Window> window) {
    /** Keeps its own copy. */
    public Course {
      earlier = List.copyOf(earlier);
    }

    /** A hold about which nothing more is known. */
    public static Course of(Pumping pumping) {
      return new Course(
          pumping, List.of(), OptionalDouble.empty(), Optional.empty(), Optional.empty());
    }

    /** The same after another pumping. */
    Course pumped(Pumping other) {
      return new Course(other, earlier, disturbedMinutesBefore, closingDraw, window);
    }

    /** The same, so many minutes after a higher pressure. */
    Course disturbed(OptionalDouble minutes) {
      return new Course(pumping, earlier, minutes, closingDraw, window);
    }

    /** The same, closed by a draw. */
    Course closed(Optional<Draw> draw) {
      return new Course(pumping, earlier, disturbedMinutesBefore, draw, window);
    }
  }

  /** {@link Limits#rated}. */
  public GaugePressure rated() {
    return limits.rated();
  }

  /** {@link Limits#limit}. */
  public TestLimit limit() {
    return limits.limit();
  }

  /** {@link Limits#acceptance}. */
  public Acceptance acceptance() {
    return limits.acceptance();
  }

  /** {@link Limits#makerRule}. */
  public Optional<MakerRule> makerRule() {
    return limits.makerRule();
  }

  /** {@link Surroundings#atmosphere}. */
  public AbsolutePressure atmosphere() {
    return surroundings.atmosphere();
  }

  /** {@link Surroundings#ambient}. */
  public Temperature ambient() {
    return surroundings.ambient();
  }

  /** {@link Surroundings#soak}. */
  public Soak soak() {
    return surroundings.soak();
  }

  /** {@link FilledSystem#liquid}. */
  public Volume liquid() {
    return system.liquid();
  }

  /** {@link FilledSystem#coolant}. */
  public CoolantMixture coolant() {
    return system.coolant();
  }

  /** {@link FilledSystem#airAndHoses}. */
  public AirAndHoses airAndHoses() {
    return system.airAndHoses();
  }

  /** {@link FilledSystem#medium}. */
  public Medium medium() {
    return system.medium();
  }

  /** {@link Instruments#gauge}. */
  public Gauge gauge() {
    return instruments.gauge();
  }

  /** {@link Instruments#thermometer}. */
  public Optional<Thermometer> thermometer() {
    return instruments.thermometer();
  }

  /** {@link Instruments#ownLeak}. */
  public OwnLeak ownLeak() {
    return instruments.ownLeak();
  }

  /** {@link Course#pumping}. */
  public Pumping pumping() {
    return course.pumping();
  }

  /** {@link Course#earlier}. */
  public List<EarlierHold> earlier() {
    return course.earlier();
  }

  /** {@link Course#disturbedMinutesBefore}. */
  public OptionalDouble disturbedMinutesBefore() {
    return course.disturbedMinutesBefore();
  }

  /** {@link Course#closingDraw}. */
  public Optional<Draw> closingDraw() {
    return course.closingDraw();
  }

  /** {@link Course#window}. */
  public Optional<Window> window() {
    return course.window();
  }

  /**
   * What a leak passes at a gauge pressure (kPa), as a share of what it passes at the rated one.
   */
  public double share(LeakLaw law, double gauge) {
    return medium().share(law, gauge, rated().kilopascals(), atmosphere().kilopascals());
  }

  /** The same, so many minutes after a higher pressure. */
  HoldConditions disturbed(OptionalDouble minutes) {
    return new HoldConditions(limits, surroundings, system, instruments, course.disturbed(minutes));
  }

  /** The same hold with more known of it: how long it stood, what gives, how it was closed. */
  HoldConditions knowing(Soak stood, AirAndHoses gives, Optional<Draw> closed) {
    return new HoldConditions(
        limits,
        new Surroundings(atmosphere(), ambient(), stood),
        new FilledSystem(liquid(), coolant(), gives, medium()),
        instruments,
        course.closed(closed));
  }

  /** The same system held at another pressure, after another pumping. */
  HoldConditions at(GaugePressure pressure, AirAndHoses there, Pumping pumped) {
    return new HoldConditions(
        new Limits(pressure, limit(), acceptance(), makerRule()),
        surroundings,
        new FilledSystem(liquid(), coolant(), there, medium()),
        instruments,
        course.pumped(pumped));
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
