package gotera.web.equipment;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A piece of equipment in the database; resolution and repeatability in kPa or K. */
@Entity
@Table(name = "equipment")
class EquipmentRecord {
  @Id UUID id;
  String kind;
  String name = "";
  String readingMode = "needle";
  @Nullable Double resolution;
  @Nullable Double repeatability;
  @Nullable Double zeroDrift;
  @Nullable Double rangeKpa;
  @Nullable LocalDate calibrationDue;
  @Nullable Double strokeMl;
  @Nullable Double airMl;
  String fits = "";
  boolean retired;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected EquipmentRecord() {}

  EquipmentRecord(UUID id, EquipmentKind kind) {
    this.id = id;
    this.kind = kind.word();
  }
}
