package gotera.circuit;

import gotera.word.Worded;

/**
 * A change to a circuit that features alone do not give. Edits are applied in their order; one that
 * makes no sense is refused with a reason ({@link Editing}).
 */
public sealed interface CircuitEdit {
  /** What it is about: code of a part, joint or branch. */
  String subject();

  /** Another name for a part or joint; empty gives the word of the trade back. */
  record Rename(String subject, String name) implements CircuitEdit {}

  /**
   * A joint more.
   *
   * @param subject its new code
   * @param name its name
   * @param part the part it sits at
   * @param spot where on that part
   * @param fastening how it is held
   */
  record AddJoint(String subject, String name, String part, Spot spot, Fastening fastening)
      implements CircuitEdit {}

  /** A joint elsewhere on its part, or on another. */
  record MoveJoint(String subject, String part, Spot spot) implements CircuitEdit {}

  /** A joint less: this vehicle does not have it. */
  record RemoveJoint(String subject) implements CircuitEdit {}

  /**
   * A part more.
   *
   * @param subject its new code
   * @param name its name
   * @param region whereabouts it goes; the sheet finds room there
   */
  record AddPart(String subject, String name, Region region) implements CircuitEdit {}

  /** A part elsewhere, with its joints. */
  record MovePart(String subject, Region region) implements CircuitEdit {}

  /** A part less, with its joints. Only parts that were added: others go with their feature. */
  record RemovePart(String subject) implements CircuitEdit {}

  /** A branch cut out by joining its two hoses: its parts hold no coolant any more. */
  record LoopOff(String subject) implements CircuitEdit {}

  /** Where on a part. */
  enum Spot implements Worded {
    UPPER_FRONT(0, 0),
    UPPER_MIDDLE(0.5, 0),
    UPPER_REAR(1, 0),
    MIDDLE_FRONT(0, 0.5),
    CENTRE(0.5, 0.5),
    MIDDLE_REAR(1, 0.5),
    LOWER_FRONT(0, 1),
    LOWER_MIDDLE(0.5, 1),
    LOWER_REAR(1, 1);

    private final double across;
    private final double down;

    Spot(double across, double down) {
      this.across = across;
      this.down = down;
    }

    Circuit.Point on(Circuit.Part part) {
      return new Circuit.Point(part.x() + across * part.width(), part.y() + down * part.height());
    }
  }

  /** Whereabouts in the vehicle. */
  enum Region implements Worded {
    FRONT(20, 330),
    ENGINE(330, 868),
    CABIN(890, 1000);

    private final double from;
    private final double to;

    Region(double from, double to) {
      this.from = from;
      this.to = to;
    }

    double from() {
      return from;
    }

    double to() {
      return to;
    }
  }
}
