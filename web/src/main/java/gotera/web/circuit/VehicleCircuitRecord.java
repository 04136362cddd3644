package gotera.web.circuit;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Which engine type a vehicle has, in the database. */
@Entity
@Table(name = "vehicle_circuit")
class VehicleCircuitRecord {
  @Id UUID vehicleId;
  UUID engineTypeId;
  @Version @Nullable Integer version;

  @SuppressWarnings("NullAway.Init")
  protected VehicleCircuitRecord() {}

  VehicleCircuitRecord(UUID vehicleId, UUID engineTypeId) {
    this.vehicleId = vehicleId;
    this.engineTypeId = engineTypeId;
  }
}
