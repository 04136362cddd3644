package gotera.warming;

import gotera.coolant.CoolantMixture;
import gotera.coolant.Growth;
import gotera.warming.WarmUp.Forecast;
import java.util.Optional;

/**
 * The level in a filler while the coolant warms: it climbs by (β − α)·V_L·Ṫ/a, so a gap that was
 * drawn down lasts for so long only.
 *
 * @param liquid in the system (mL), positive
 * @param mixture what it is
 * @param area free area of the filler (cm²), positive
 */
public record NeckLevel(double liquid, CoolantMixture mixture, double area) {
  /** Relative standard uncertainty of liquid and area together (1) (our judgement, untested). */
  public static final double SIZE_U = 0.1;

  private static final double STEP = 0.05; // min
  private static final double FARTHEST = 120; // min

  /** Refuses a system without liquid or filler. */
  public NeckLevel {
    if (!(liquid > 0) || !(area > 0)) {
      throw new IllegalArgumentException("a filler of " + area + " cm² for " + liquid + " mL");
    }
  }

  /** How fast the coolant grows at a temperature and a rate of warming (mL/min). */
  public double growth(double celsius, double rate) {
    return Growth.rate(mixture, held(celsius)) * liquid * rate;
  }

  /** How fast the level climbs meanwhile (mm/min). */
  public double climb(double celsius, double rate) {
    return 10 * growth(celsius, rate) / area;
  }

  /** How far the level climbs between two temperatures (mm); negative when it cools. */
  public double climbed(double from, double to) {
    return 10 * Growth.between(mixture, held(from), held(to)).share() * liquid / area;
  }

  /** Standard uncertainty of {@link #climbed} (mm), besides that of the temperatures. */
  public double climbedU(double from, double to) {
    double grown = 10 * Growth.between(mixture, held(from), held(to)).u() * liquid / area;
    return Math.hypot(grown, SIZE_U * climbed(from, to));
  }

  /**
   * How long a gap lasts.
   *
   * @param gap from the level to what it must not reach (mm)
   * @param at minute at which the gap was read, on the readings' clock
   * @return from that minute on; nothing where it never gets there
   */
  public Optional<Forecast> until(double gap, WarmUp warming, double at) {
    double from = warming.celsius(at);
    double minutes = 0;
    while (minutes < FARTHEST && climbed(from, warming.celsius(at + minutes)) < gap) {
      minutes += STEP;
    }
    if (minutes >= FARTHEST) {
      return Optional.empty();
    }
    double to = warming.celsius(at + minutes);
    double climb = climb(to, warming.rate(at + minutes));
    if (gap <= 0 || !(climb > 0)) {
      return Optional.of(new Forecast(0, 0));
    }
    double rate = warming.rateU(at + minutes) / warming.rate(at + minutes);
    double byRate = minutes * Math.hypot(rate, WarmUp.STRAIGHT_U);
    return Optional.of(new Forecast(minutes, Math.hypot(climbedU(from, to) / climb, byRate)));
  }

  private static double held(double celsius) {
    return Math.max(Growth.COLDEST, Math.min(Growth.HOTTEST, celsius));
  }
}
