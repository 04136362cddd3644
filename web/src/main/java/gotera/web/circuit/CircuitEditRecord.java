package gotera.web.circuit;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitEdit.Region;
import gotera.circuit.CircuitEdit.Spot;
import gotera.circuit.Fastening;
import gotera.word.Worded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A change to a circuit in the database: of an engine type, or of one vehicle. */
@Entity
@Table(name = "circuit_edit")
class CircuitEditRecord {
  private static final Logger LOG = LoggerFactory.getLogger(CircuitEditRecord.class);

  @Id UUID id;
  @Nullable UUID engineTypeId;
  @Nullable UUID vehicleId;
  String kind;
  String subject;
  String name = "";
  String part = "";
  String spot = "";
  String fastening = "";
  Instant writtenAt;
  String writtenBy;
  @Nullable Instant withdrawnAt;
  @Nullable String withdrawnBy;

  @SuppressWarnings("NullAway.Init")
  protected CircuitEditRecord() {}

  CircuitEditRecord(UUID id, CircuitEdit edit, Instant writtenAt, String writtenBy) {
    this.id = id;
    this.subject = edit.subject();
    this.writtenAt = writtenAt;
    this.writtenBy = writtenBy;
    if (edit instanceof CircuitEdit.Rename e) {
      kind = "rename";
      name = e.name();
    } else if (edit instanceof CircuitEdit.AddJoint e) {
      kind = "add-joint";
      name = e.name();
      part = e.part();
      spot = e.spot().word();
      fastening = e.fastening().word();
    } else if (edit instanceof CircuitEdit.MoveJoint e) {
      kind = "move-joint";
      part = e.part();
      spot = e.spot().word();
    } else if (edit instanceof CircuitEdit.RemoveJoint) {
      kind = "remove-joint";
    } else if (edit instanceof CircuitEdit.AddPart e) {
      kind = "add-part";
      name = e.name();
      spot = e.region().word();
    } else if (edit instanceof CircuitEdit.MovePart e) {
      kind = "move-part";
      spot = e.region().word();
    } else if (edit instanceof CircuitEdit.RemovePart) {
      kind = "remove-part";
    } else {
      kind = "loop-off";
    }
  }

  /** The change it means; empty, and told in the log, where its kind is none that is known. */
  Optional<CircuitEdit> edit() {
    CircuitEdit edit = read();
    if (edit == null) {
      LOG.error("circuit edit {} is left out: its kind “{}” is not known", id, kind);
    }
    return Optional.ofNullable(edit);
  }

  private @Nullable CircuitEdit read() {
    return switch (kind) {
      case "rename" -> new CircuitEdit.Rename(subject, name);
      case "add-joint" ->
          new CircuitEdit.AddJoint(
              subject,
              name,
              part,
              place(),
              Worded.of(Fastening.class, fastening).orElse(Fastening.NONE));
      case "move-joint" -> new CircuitEdit.MoveJoint(subject, part, place());
      case "remove-joint" -> new CircuitEdit.RemoveJoint(subject);
      case "add-part" -> new CircuitEdit.AddPart(subject, name, region());
      case "move-part" -> new CircuitEdit.MovePart(subject, region());
      case "remove-part" -> new CircuitEdit.RemovePart(subject);
      case "loop-off" -> new CircuitEdit.LoopOff(subject);
      default -> null;
    };
  }

  private Spot place() {
    return Worded.of(Spot.class, spot).orElse(Spot.CENTRE);
  }

  private Region region() {
    return Worded.of(Region.class, spot).orElse(Region.ENGINE);
  }
}
