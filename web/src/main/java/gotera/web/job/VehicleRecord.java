package gotera.web.job;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** A vehicle in the database. */
@Entity
@Audited
@Table(name = "vehicle")
class VehicleRecord {
  @Id UUID id;
  String name;
  String description = "";
  @Nullable Double liquidMl;
  @Nullable Double strength;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected VehicleRecord() {}

  VehicleRecord(UUID id, String name) {
    this.id = id;
    this.name = name;
  }
}
