package gotera.level;

import gotera.coolant.CoolantMixture;
import gotera.warming.NeckLevel;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * The level to expect in a tank at any temperature, from one that was marked: what grows goes into
 * the tank.
 *
 * @param celsius temperature (°C)
 * @param level above the first mark (mm); below it with a minus
 * @param u its standard uncertainty (mm)
 */
public record LevelRuler(double celsius, double level, double u) {
  /** Temperatures on it (°C) (our judgement: what a ruler on a tank has room for). */
  private static final double[] MARKS = {0, 20, 40, 60, 80, 100};

  /**
   * The ruler of a tank.
   *
   * @param mark the first mark, with the temperature read at it
   * @param liquid in the system (mL), positive
   * @return nothing where no temperature was read at the mark
   */
  public static List<LevelRuler> of(LevelWatch.Mark mark, CoolantMixture mixture, double liquid) {
    if (mark.celsius().isEmpty()) {
      return List.of();
    }
    NeckLevel tank = new NeckLevel(liquid, mixture, mark.area());
    double from = mark.celsius().getAsDouble();
    return DoubleStream.of(MARKS).mapToObj(to -> at(tank, from, to)).toList();
  }

  private static LevelRuler at(NeckLevel tank, double from, double to) {
    double byTemperature = LevelWatch.READ_U * tank.climb(from, 1);
    return new LevelRuler(
        to, tank.climbed(from, to), Math.hypot(tank.climbedU(from, to), byTemperature));
  }
}
