package gotera.web.archive;

import gotera.web.archive.Joining.Clash;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;

/**
 * How a file is taken in: at most one vehicle and one engine type come with a job.
 *
 * @param workshop the name of the workshop whose key was compared; empty where it was not
 * @param vehicle whether the vehicle is the one that is here: same or another
 * @param vehicleName its name here, where it is another one
 * @param type the same of the engine type
 * @param typeName its name here, where it is another one
 */
record TakingForm(
    String workshop, String vehicle, String vehicleName, String type, String typeName) {
  private static final List<String> CHOICES = List.of("", "same", "another");
  private static final int NAME = 120;

  /** Nothing said yet. */
  static final TakingForm EMPTY = new TakingForm("", "", "", "", "");

  TakingForm {
    workshop = Entry.text(workshop, NAME);
    vehicle = Entry.choice(vehicle, CHOICES);
    vehicleName = Entry.text(vehicleName, NAME);
    type = Entry.choice(type, CHOICES);
    typeName = Entry.text(typeName, NAME);
  }

  /**
   * How each known name comes in; what is not said is a problem at its field.
   *
   * @param isNamed whether something of a table has a name here
   */
  Joining joining(
      List<Clash> clashes, BiPredicate<String, String> isNamed, FieldProblems problems) {
    Map<String, String> same = new HashMap<>();
    Map<String, String> names = new HashMap<>();
    for (Clash clash : clashes) {
      boolean ofVehicle = clash.table().equals("vehicle");
      String choice = ofVehicle ? vehicle : type;
      String name = ofVehicle ? vehicleName : typeName;
      if (choice.equals("same")) {
        same.put(clash.id(), clash.here());
      } else if (choice.isEmpty()) {
        problems.add(ofVehicle ? "vehicle" : "type", "archive.same-or-another");
      } else if (name.isEmpty() || name.equals(clash.name())) {
        problems.add(ofVehicle ? "vehicleName" : "typeName", "archive.another-name", clash.name());
      } else if (isNamed.test(clash.table(), name)) {
        problems.add(ofVehicle ? "vehicleName" : "typeName", "archive.another-name", name);
      } else {
        names.put(clash.id(), name);
      }
    }
    return new Joining(same, names);
  }
}
