package gotera.pressure.setup;

import gotera.pressure.HoldConditions.EarlierHold;
import gotera.pressure.HoldConditions.Window;
import gotera.pressure.compliance.Draw;
import gotera.pressure.compliance.Strokes;
import gotera.pressure.law.Medium;
import gotera.pressure.trace.Soak;
import gotera.pressure.trace.Thermometer;
import gotera.pressure.verdict.Acceptance.Purpose;
import gotera.pressure.verdict.MakerRule;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A hold as it was described: everything about it that is not on its trace, by what belongs
 * together. What is absent was not said; {@link CompletedHold} puts a default in its place.
 *
 * @param limits pressures, and what the hold is held against
 * @param surroundings the air around, and how long the vehicle stood in it
 * @param filling what the system is filled with
 * @param compliance what is known of air and hoses
 * @param instruments what it is measured with
 * @param course what was done before, during and after
 */
public record HoldSetup(
    Limits limits,
    Surroundings surroundings,
    Filling filling,
    Compliance compliance,
    Instruments instruments,
    Course course) {

  /** A hold of which only what is needed is known. */
  public static HoldSetup of(double ratedKpa, double liquidMl, Compliance compliance) {
    return new HoldSetup(
        Limits.of(ratedKpa),
        Surroundings.UNKNOWN,
        new Filling(liquidMl, OptionalDouble.empty(), Medium.LIQUID),
        compliance,
        Instruments.UNKNOWN,
        Course.UNKNOWN);
  }

  /** The same held against something else. */
  public HoldSetup with(Limits other) {
    return new HoldSetup(other, surroundings, filling, compliance, instruments, course);
  }

  /** The same in other surroundings. */
  public HoldSetup with(Surroundings other) {
    return new HoldSetup(limits, other, filling, compliance, instruments, course);
  }

  /** The same filled otherwise. */
  public HoldSetup with(Filling other) {
    return new HoldSetup(limits, surroundings, other, compliance, instruments, course);
  }

  /** The same with something else known of air and hoses. */
  public HoldSetup with(Compliance other) {
    return new HoldSetup(limits, surroundings, filling, other, instruments, course);
  }

  /** The same measured with something else. */
  public HoldSetup with(Instruments other) {
    return new HoldSetup(limits, surroundings, filling, compliance, other, course);
  }

  /** The same done otherwise. */
  public HoldSetup with(Course other) {
    return new HoldSetup(limits, surroundings, filling, compliance, instruments, other);
  }

  /** What is pressed through a leak. */
  public Medium medium() {
    return filling.medium();
  }

  /**
   * Pressures, and what the hold is held against.
   *
   * @param ratedKpa pressure that rates are quoted at (kPa)
   * @param limitKpa highest pressure of the test (kPa); the rated pressure if absent
   * @param fromMaker whether the limit is the maker's explicit test pressure
   * @param purpose what the test is for
   * @param acceptance acceptance limit of the shop's own (mL/min)
   * @param makerRule the maker's rule
   */
  public record Limits(
      double ratedKpa,
      OptionalDouble limitKpa,
      boolean fromMaker,
      Optional<Purpose> purpose,
      OptionalDouble acceptance,
      Optional<MakerRule> makerRule) {
    /** Of which only the rated pressure is known. */
    public static Limits of(double ratedKpa) {
      return new Limits(
          ratedKpa,
          OptionalDouble.empty(),
          false,
          Optional.empty(),
          OptionalDouble.empty(),
          Optional.empty());
    }

    /** The same under another cap. */
    public Limits under(double rated, double limit, boolean maker) {
      return new Limits(rated, OptionalDouble.of(limit), maker, purpose, acceptance, makerRule);
    }

    /** The same for a purpose, with a maker's rule where there is one. */
    public Limits against(Purpose then, Optional<MakerRule> rule) {
      return new Limits(ratedKpa, limitKpa, fromMaker, Optional.of(then), acceptance, rule);
    }
  }

  /**
   * The air around.
   *
   * @param atmosphereKpa its pressure (kPa)
   * @param ambientC its temperature (°C)
   * @param soak how long the vehicle stood; absent for unknown
   */
  public record Surroundings(
      OptionalDouble atmosphereKpa, OptionalDouble ambientC, Optional<Soak> soak) {
    /** Of which nothing is known. */
    public static final Surroundings UNKNOWN =
        new Surroundings(OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty());

    /** The same after standing so long. */
    public Surroundings stood(Optional<Soak> other) {
      return new Surroundings(atmosphereKpa, ambientC, other);
    }

    /** The same under another air pressure (kPa). */
    public Surroundings under(double kilopascals) {
      return new Surroundings(OptionalDouble.of(kilopascals), ambientC, soak);
    }
  }

  /**
   * What the system is filled with.
   *
   * @param liquidMl liquid in it (mL)
   * @param strength volume fraction of concentrate
   * @param medium what is pressed through a leak
   */
  public record Filling(double liquidMl, OptionalDouble strength, Medium medium) {}

  /**
   * What is known of air and hoses: draws, strokes, or else a figure.
   *
   * @param trappedAirMl gas at the start of the hold (mL), without draws and strokes
   * @param hoseMlPerKpa compliance of the hoses (mL/kPa); beside draws and strokes an estimate
   * @param relativeUncertainty of the total, without draws and strokes
   * @param measured whether the figure was measured
   * @param draws volumes let out or pushed in that measure it
   * @param strokes strokes of the pump that measure it
   */
  public record Compliance(
      OptionalDouble trappedAirMl,
      OptionalDouble hoseMlPerKpa,
      OptionalDouble relativeUncertainty,
      boolean measured,
      List<Draw> draws,
      Optional<CountedStrokes> strokes) {
    /** Keeps its own copy. */
    public Compliance {
      draws = List.copyOf(draws);
    }

    /** A figure, not a measurement. */
    public static Compliance figure(
        OptionalDouble trappedAirMl,
        OptionalDouble hoseMlPerKpa,
        OptionalDouble relativeUncertainty,
        boolean measured) {
      return new Compliance(
          trappedAirMl, hoseMlPerKpa, relativeUncertainty, measured, List.of(), Optional.empty());
    }

    /** The same with other draws. */
    public Compliance withDraws(List<Draw> other) {
      return new Compliance(
          trappedAirMl, hoseMlPerKpa, relativeUncertainty, measured, other, strokes);
    }

    /** The same with other strokes. */
    public Compliance withStrokes(Optional<CountedStrokes> other) {
      return new Compliance(
          trappedAirMl, hoseMlPerKpa, relativeUncertainty, measured, draws, other);
    }

    /** Whether draws or strokes measure it. */
    public boolean isMeasuredHere() {
      return !draws.isEmpty() || strokes.isPresent();
    }
  }

  /**
   * Strokes of the pump as they were counted.
   *
   * @param strokeMl room air of a stroke (mL)
   * @param startKpa gauge before the first (kPa)
   * @param readings counts since the start with the gauge then
   */
  public record CountedStrokes(double strokeMl, double startKpa, List<Strokes.Reading> readings) {
    /** Keeps its own copy. */
    public CountedStrokes {
      readings = List.copyOf(readings);
    }

    /** The same with one count more. */
    public CountedStrokes and(Strokes.Reading reading) {
      List<Strokes.Reading> all = new ArrayList<>(readings);
      all.add(reading);
      return new CountedStrokes(strokeMl, startKpa, all);
    }
  }

  /**
   * A gauge as far as it is known.
   *
   * @param resolution smallest step that is read (kPa)
   * @param repeatability standard deviation of repeated readings (kPa)
   * @param range highest pressure it shows (kPa)
   * @param zeroDrift standard uncertainty of its zero during a hold (kPa)
   * @param calibrated whether its calibration is in date
   */
  public record KnownGauge(
      double resolution,
      double repeatability,
      OptionalDouble range,
      OptionalDouble zeroDrift,
      boolean calibrated) {
    /** A gauge of which only the step is known (kPa). */
    public static KnownGauge ofStep(double step) {
      return new KnownGauge(
          step, Usual.REPEATABILITY * step, OptionalDouble.empty(), OptionalDouble.empty(), true);
    }
  }

  /**
   * What it is measured with.
   *
   * @param gauge the gauge
   * @param thermometer the thermometer; absent if none was read
   * @param ownLeak the tester's own leak (mL/min)
   * @param ownLeakU its standard uncertainty (mL/min)
   */
  public record Instruments(
      Optional<KnownGauge> gauge,
      Optional<Thermometer> thermometer,
      OptionalDouble ownLeak,
      OptionalDouble ownLeakU) {
    /** Of which nothing is known. */
    public static final Instruments UNKNOWN =
        new Instruments(
            Optional.empty(), Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    /** A gauge, and a thermometer where one is read. */
    public static Instruments of(KnownGauge gauge, Optional<Thermometer> thermometer) {
      return new Instruments(
          Optional.of(gauge), thermometer, OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** The same with another gauge. */
    public Instruments read(Optional<KnownGauge> other) {
      return new Instruments(other, thermometer, ownLeak, ownLeakU);
    }
  }

  /**
   * What was done.
   *
   * @param pumpedUntilS end of pumping on the trace's clock (s)
   * @param pumpedFromKpa gauge before pumping (kPa)
   * @param releasedBeforeMin minutes since a higher pressure, a release or a draw
   * @param earlier holds of the last hour on the same system
   * @param closingDraw the draw that closes a sign-off
   * @param window part of the trace to use
   */
  public record Course(
      OptionalDouble pumpedUntilS,
      OptionalDouble pumpedFromKpa,
      OptionalDouble releasedBeforeMin,
      List<EarlierHold> earlier,
      Optional<Draw> closingDraw,
      Optional<Window> window) {
    /** Of which nothing is known. */
    public static final Course UNKNOWN =
        new Course(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            List.of(),
            Optional.empty(),
            Optional.empty());

    /** Keeps its own copy. */
    public Course {
      earlier = List.copyOf(earlier);
    }

    /** The same after other holds. */
    public Course after(List<EarlierHold> holds) {
      return new Course(pumpedUntilS, pumpedFromKpa, releasedBeforeMin, holds, closingDraw, window);
    }

    /** The same, so many minutes after a higher pressure. */
    public Course disturbed(OptionalDouble minutes) {
      return new Course(pumpedUntilS, pumpedFromKpa, minutes, earlier, closingDraw, window);
    }

    /** The same closed by a draw. */
    public Course closed(Optional<Draw> draw) {
      return new Course(pumpedUntilS, pumpedFromKpa, releasedBeforeMin, earlier, draw, window);
    }

    /** The same of which a part is used. */
    public Course within(Optional<Window> part) {
      return new Course(pumpedUntilS, pumpedFromKpa, releasedBeforeMin, earlier, closingDraw, part);
    }
  }
}
