package gotera.formats;

import gotera.pressure.law.Medium;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A hold description, {@code gotera-hold/1}: everything about a hold that is not on its trace, as
 * it stands in the file. Optional members that are absent take documented defaults, see {@link
 * HoldDefaults}.
 *
 * @param ratedKpa pressure that rates are quoted at (kPa)
 * @param limitKpa highest pressure of the test (kPa); the rated pressure if absent
 * @param limitFromMaker whether the limit is the maker's explicit test pressure
 * @param atmosphereKpa pressure of the surrounding air (kPa)
 * @param ambientC temperature of the room (°C)
 * @param liquidMl liquid in the system (mL)
 * @param strength volume fraction of concentrate
 * @param compliance what air and hoses give
 * @param gauge the gauge
 * @param thermometer the thermometer
 * @param ownLeak the tester's own leak (mL/min)
 * @param ownLeakU its standard uncertainty (mL/min)
 * @param soakHours hours stood; infinite for overnight, absent for unknown
 * @param pumpedUntilS end of pumping (s)
 * @param pumpedFromKpa pressure before pumping (kPa)
 * @param releasedBeforeMin minutes since a higher pressure, release or draw
 * @param earlier holds of the last hour on the same system
 * @param closingDraw the closing draw
 * @param purpose word of the purpose
 * @param acceptance acceptance limit of the shop's own (mL/min)
 * @param makerRule the maker's rule
 * @param windowS start and end of the window (s)
 * @param medium what is pressed through a leak
 */
public record HoldDescription(
    double ratedKpa,
    OptionalDouble limitKpa,
    boolean limitFromMaker,
    OptionalDouble atmosphereKpa,
    OptionalDouble ambientC,
    double liquidMl,
    OptionalDouble strength,
    Compliance compliance,
    Optional<GaugeMember> gauge,
    Optional<ThermometerMember> thermometer,
    OptionalDouble ownLeak,
    OptionalDouble ownLeakU,
    OptionalDouble soakHours,
    OptionalDouble pumpedUntilS,
    OptionalDouble pumpedFromKpa,
    OptionalDouble releasedBeforeMin,
    List<EarlierMember> earlier,
    Optional<DrawMember> closingDraw,
    Optional<String> purpose,
    OptionalDouble acceptance,
    Optional<RuleMember> makerRule,
    Optional<List<Double>> windowS,
    Medium medium) {

  /** A description of which only what is required is known. */
  public static HoldEdit of(double ratedKpa, double liquidMl, Compliance compliance) {
    return new HoldEdit(ratedKpa, liquidMl, compliance);
  }

  /** This description, to be changed. */
  public HoldEdit edit() {
    return new HoldEdit(this);
  }

  /** The format's name and version. */
  public static final String FORMAT = "gotera-hold/1";

  /**
   * What air and hoses give: draws, strokes, or else a figure.
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
      List<DrawMember> draws,
      Optional<StrokesMember> strokes) {
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
    public Compliance withDraws(List<DrawMember> other) {
      return new Compliance(
          trappedAirMl, hoseMlPerKpa, relativeUncertainty, measured, List.copyOf(other), strokes);
    }

    /** The same with other strokes. */
    public Compliance withStrokes(Optional<StrokesMember> other) {
      return new Compliance(
          trappedAirMl, hoseMlPerKpa, relativeUncertainty, measured, draws, other);
    }
  }

  /** A volume let out, or pushed in if negative (mL), and the gauge before and after (kPa). */
  public record DrawMember(double ml, double beforeKpa, double afterKpa) {}

  /** Room air of a stroke (mL), the gauge before the first (kPa), and the gauge after counts. */
  public record StrokesMember(double strokeMl, double startKpa, List<StrokeReading> readings) {}

  /** Strokes since the start and the gauge then (kPa). */
  public record StrokeReading(int count, double gaugeKpa) {}

  /** What settled in an earlier hold, with its standard uncertainty (mL). */
  public record EarlierMember(double settledMl, double u) {}

  /** Resolution, repeatability, range and zero drift (kPa), and whether calibration is in date. */
  public record GaugeMember(
      double resolutionKpa,
      double repeatabilityKpa,
      OptionalDouble rangeKpa,
      OptionalDouble zeroDriftKpa,
      boolean calibrated) {}

  /** Resolution and repeatability (K). */
  public record ThermometerMember(double resolutionC, double repeatabilityC) {}

  /** Pressure (kPa), minutes and highest drop (kPa). */
  public record RuleMember(double pressureKpa, double minutes, double dropKpa) {}
}
