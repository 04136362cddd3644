package gotera.dial;

import gotera.word.Worded;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A dial in a picture, as somebody touched it: its centre and two or more marks. Between marks the
 * scale is taken as even; an uneven one needs more of them. A picture taken askew turns every ray
 * from the centre into a ray, so that a needle and the mark it points at stay in line.
 *
 * @param x of the centre (dots)
 * @param y of the centre (dots, downwards)
 * @param marks in the order of their pressure, each further clockwise
 */
public record Dial(double x, double y, List<Mark> marks) {
  /** A needle may stand beyond the ends of its scale by so much (rad) (our judgement, untested). */
  private static final double BEYOND = Math.toRadians(8);

  /** Smallest dial that is read (dots from centre to marks) (our judgement, by drawn dials). */
  public static final double SMALLEST = 60;

  /**
   * A mark.
   *
   * @param x where (dots)
   * @param y where (dots, downwards)
   * @param kilopascals the pressure it stands for (kPa)
   */
  public record Mark(double x, double y, double kilopascals) {}

  /** Keeps its own list, in order. */
  public Dial {
    marks = marks.stream().sorted(Comparator.comparingDouble(Mark::kilopascals)).toList();
  }

  /** What is wrong with a dial. */
  public enum Problem implements Worded {
    /** There are fewer than two marks. */
    TOO_FEW_MARKS,
    /** It is too small in the picture. */
    TOO_SMALL,
    /** A mark lies much nearer to the centre than another. */
    UNEVEN_RADII,
    /** Two marks say the same, or the marks do not go round clockwise within one turn. */
    OUT_OF_ORDER
  }

  /** What keeps it from being read; empty where nothing does. */
  public Optional<Problem> problem() {
    if (marks.size() < 2) {
      return Optional.of(Problem.TOO_FEW_MARKS);
    }
    double least = marks.stream().mapToDouble(this::distance).min().getAsDouble();
    double most = marks.stream().mapToDouble(this::distance).max().getAsDouble();
    if (!(least >= SMALLEST)) {
      return Optional.of(Problem.TOO_SMALL);
    }
    if (most > 1.5 * least) {
      return Optional.of(Problem.UNEVEN_RADII);
    }
    List<Double> turned = turned();
    for (int i = 1; i < marks.size(); i++) {
      if (!(turned.get(i) > turned.get(i - 1))
          || !(marks.get(i).kilopascals() > marks.get(i - 1).kilopascals())) {
        return Optional.of(Problem.OUT_OF_ORDER);
      }
    }
    return Optional.empty();
  }

  private double distance(Mark m) {
    return Math.hypot(m.x() - x, m.y() - y);
  }

  /** Distance of the marks from the centre, about (dots). */
  double radius() {
    return marks.stream().mapToDouble(this::distance).average().orElse(0);
  }

  /** How far clockwise of the first mark each mark is (rad), below one turn. */
  private List<Double> turned() {
    List<Double> all = new ArrayList<>();
    for (Mark m : marks) {
      all.add(fromFirst(Math.atan2(m.y() - y, m.x() - x)));
    }
    return all;
  }

  private double fromFirst(double angle) {
    Mark first = marks.get(0);
    double turn = angle - Math.atan2(first.y() - y, first.x() - x);
    double whole = 2 * Math.PI;
    return ((turn % whole) + whole) % whole;
  }

  /**
   * The pressure at an angle (kPa); empty where the scale does not reach.
   *
   * @param angle of the needle, clockwise from the right (rad)
   */
  public OptionalDouble pressure(double angle) {
    List<Double> turned = turned();
    double end = turned.get(turned.size() - 1);
    double at = fromFirst(angle);
    // just before the first mark is nearly one turn after it
    if (at > end + BEYOND && at > 2 * Math.PI - BEYOND) {
      at -= 2 * Math.PI;
    }
    if (at < -BEYOND || at > end + BEYOND) {
      return OptionalDouble.empty();
    }
    int i = 1;
    while (i < turned.size() - 1 && at > turned.get(i)) {
      i++;
    }
    double share = (at - turned.get(i - 1)) / (turned.get(i) - turned.get(i - 1));
    double from = marks.get(i - 1).kilopascals();
    return OptionalDouble.of(from + share * (marks.get(i).kilopascals() - from));
  }

  /** Two readings of the same needle agree to this share of the scale (1) (our judgement). */
  private static final double SAME = 0.02;

  /** Whether somebody who read beside the camera saw the same (kPa). */
  public boolean agrees(double typed, double read) {
    double scale = marks.get(marks.size() - 1).kilopascals() - marks.get(0).kilopascals();
    return Math.abs(typed - read) <= SAME * scale;
  }

  /** How much pressure a turn of the needle means there (kPa/rad). */
  double perRadian(double angle) {
    double step = 1e-3;
    OptionalDouble above = pressure(angle + step);
    OptionalDouble below = pressure(angle - step);
    if (above.isEmpty() || below.isEmpty()) {
      double whole = turned().get(marks.size() - 1);
      return (marks.get(marks.size() - 1).kilopascals() - marks.get(0).kilopascals()) / whole;
    }
    return (above.getAsDouble() - below.getAsDouble()) / (2 * step);
  }
}
