package gotera.web.job;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What intake writes down.
 *
 * @param vehicle name of the vehicle; a known name finds it, a new one makes it
 * @param description what kind of vehicle it is
 * @param reason why it is tested
 * @param complaint what the customer says
 * @param whereLost when and where coolant is lost
 * @param signs other signs told, words of the vocabulary
 * @param otherComplaints other complaints of the visit, apart
 * @param told where the puddle lay, on what ground, how it is driven
 * @param replacedPart a part replaced before, empty for none
 * @param replacedDays how long ago (d)
 * @param lossMlPerWeek loss complained of (mL per week)
 * @param hotHoursPerWeek how long the engine is hot in a week (h)
 * @param topUpMl water it took to the brim (mL)
 * @param liquidMl liquid in the system (mL)
 * @param strength strength of the coolant
 */
public record Intake(
    String vehicle,
    String description,
    String reason,
    String complaint,
    String whereLost,
    List<String> signs,
    String otherComplaints,
    Told told,
    String replacedPart,
    OptionalDouble replacedDays,
    OptionalDouble lossMlPerWeek,
    OptionalDouble hotHoursPerWeek,
    OptionalDouble topUpMl,
    OptionalDouble liquidMl,
    OptionalDouble strength) {
  /**
   * What was told of where it stands and how it is driven, words of their choices.
   *
   * @param ground what it stands on; empty where nobody said
   * @param puddleAt the spot where a puddle lay; empty for none
   * @param trips how far it is driven; empty where nobody said
   */
  public record Told(String ground, String puddleAt, String trips) {
    /** Nothing was said. */
    public static final Told NOTHING = new Told("", "", "");
  }

  /** Keeps its own copy. */
  public Intake {
    signs = List.copyOf(signs);
  }
}
