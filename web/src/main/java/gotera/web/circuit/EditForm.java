package gotera.web.circuit;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.Fastening;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.word.Worded;
import java.util.Optional;
import java.util.UUID;

/**
 * A change to a circuit, as typed.
 *
 * @param kind what kind of change
 * @param subject code of the part, joint or branch
 * @param name a name
 * @param part code of a part
 * @param spot where on it
 * @param region whereabouts in the vehicle
 * @param fastening how it is held
 */
record EditForm(
    String kind,
    String subject,
    String name,
    String part,
    String spot,
    String region,
    String fastening) {
  /** Everything absent is empty. */
  EditForm {
    kind = Entry.text(kind, 20);
    subject = Entry.text(subject, 80);
    name = Entry.text(name, 120);
    part = Entry.text(part, 80);
    spot = Entry.text(spot, 20);
    region = Entry.text(region, 20);
    fastening = Entry.text(fastening, 20);
  }

  static EditForm none() {
    return new EditForm("", "", "", "", "", "", "");
  }

  /**
   * The change meant.
   *
   * @param fresh an identifier for what is new
   */
  Optional<CircuitEdit> read(FieldProblems problems, UUID fresh) {
    String code = "added-" + fresh;
    boolean adds = kind.startsWith("add-");
    if (adds && name.isEmpty()) {
      problems.add(kind + "-name", "problem.place-name");
      return Optional.empty();
    }
    Spot where = Worded.of(Spot.class, spot).orElse(Spot.CENTRE);
    Region whereabouts = Worded.of(Region.class, region).orElse(Region.ENGINE);
    return switch (kind) {
      case "rename" -> Optional.of(new CircuitEdit.Rename(subject, name));
      case "add-joint" ->
          Optional.of(
              new CircuitEdit.AddJoint(
                  code,
                  name,
                  part,
                  where,
                  Worded.of(Fastening.class, fastening).orElse(Fastening.NONE)));
      case "move-joint" -> Optional.of(new CircuitEdit.MoveJoint(subject, part, where));
      case "remove-joint" -> Optional.of(new CircuitEdit.RemoveJoint(subject));
      case "add-part" -> Optional.of(new CircuitEdit.AddPart(code, name, whereabouts));
      case "move-part" -> Optional.of(new CircuitEdit.MovePart(subject, whereabouts));
      case "remove-part" -> Optional.of(new CircuitEdit.RemovePart(subject));
      case "loop-off" -> Optional.of(new CircuitEdit.LoopOff(subject));
      default -> Optional.empty();
    };
  }
}
