package gotera.formats;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.Fastening;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes what was changed on a circuit. */
final class CircuitEditJson {
  private static final List<String> KINDS =
      List.of(
          "rename",
          "add-joint",
          "move-joint",
          "remove-joint",
          "add-part",
          "move-part",
          "remove-part",
          "loop-off");

  private CircuitEditJson() {}

  static List<CircuitEdit> read(JsonMembers vehicle) {
    List<CircuitEdit> edits = new ArrayList<>();
    for (JsonMembers e : vehicle.elements("edits")) {
      Optional<String> kind = e.word("edit", KINDS);
      if (kind.isEmpty() && !e.has("edit")) {
        e.refuse("edit", "nothing", "one of " + String.join(", ", KINDS));
      }
      kind.flatMap(k -> edit(k, e)).ifPresent(edits::add);
      e.refuseUnknown();
    }
    return edits;
  }

  private static Optional<CircuitEdit> edit(String kind, JsonMembers e) {
    Optional<String> at = e.requiredText("at", "a code");
    String name = e.text("name").orElse("");
    String part = e.text("part").orElse("");
    Spot spot = e.choice("spot", Spot.class).orElse(Spot.CENTRE);
    Region region = e.choice("region", Region.class).orElse(Region.ENGINE);
    Fastening fastening = e.choice("fastening", Fastening.class).orElse(Fastening.NONE);
    return at.map(
        code ->
            switch (kind) {
              case "rename" -> new CircuitEdit.Rename(code, name);
              case "add-joint" -> new CircuitEdit.AddJoint(code, name, part, spot, fastening);
              case "move-joint" -> new CircuitEdit.MoveJoint(code, part, spot);
              case "remove-joint" -> new CircuitEdit.RemoveJoint(code);
              case "add-part" -> new CircuitEdit.AddPart(code, name, region);
              case "move-part" -> new CircuitEdit.MovePart(code, region);
              case "remove-part" -> new CircuitEdit.RemovePart(code);
              default -> new CircuitEdit.LoopOff(code);
            });
  }

  static void write(ArrayNode edits, CircuitEdit edit) {
    ObjectNode n = edits.addObject();
    if (edit instanceof CircuitEdit.Rename e) {
      n.put("edit", "rename").put("name", e.name());
    } else if (edit instanceof CircuitEdit.AddJoint e) {
      n.put("edit", "add-joint").put("name", e.name()).put("part", e.part());
      n.put("spot", e.spot().word()).put("fastening", e.fastening().word());
    } else if (edit instanceof CircuitEdit.MoveJoint e) {
      n.put("edit", "move-joint").put("part", e.part()).put("spot", e.spot().word());
    } else if (edit instanceof CircuitEdit.RemoveJoint) {
      n.put("edit", "remove-joint");
    } else if (edit instanceof CircuitEdit.AddPart e) {
      n.put("edit", "add-part").put("name", e.name()).put("region", e.region().word());
    } else if (edit instanceof CircuitEdit.MovePart e) {
      n.put("edit", "move-part").put("region", e.region().word());
    } else if (edit instanceof CircuitEdit.RemovePart) {
      n.put("edit", "remove-part");
    } else {
      n.put("edit", "loop-off");
    }
    n.put("at", edit.subject());
  }
}
