package gotera.said;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Where coolant was caught from: a choice, so that a cylinder is one and another place is none. */
public sealed interface CaughtFrom {
  /** Most cylinders that can be chosen (our judgement: more than any engine here has). */
  int MOST_CYLINDERS = 12;

  /** As it is written down. */
  String word();

  /** Drawn out of a cylinder; its number, from 1. */
  record Cylinder(int number) implements CaughtFrom {
    @Override
    public String word() {
      return "cylinder " + number;
    }
  }

  /** Let out of the oil pan. */
  record OilPan() implements CaughtFrom {
    @Override
    public String word() {
      return "oil pan";
    }
  }

  /** Anywhere else, as a person calls it. */
  record Elsewhere(String word) implements CaughtFrom {}

  /** Those that can be chosen. */
  static List<CaughtFrom> choices() {
    return Stream.concat(
            IntStream.rangeClosed(1, MOST_CYLINDERS).<CaughtFrom>mapToObj(Cylinder::new),
            Stream.of(new OilPan()))
        .toList();
  }

  /** What was written down: one of the choices to the letter, or a place of its own. */
  static CaughtFrom of(String word) {
    return choices().stream()
        .filter(c -> c.word().equals(word))
        .findFirst()
        .orElseGet(() -> new Elsewhere(word));
  }
}
