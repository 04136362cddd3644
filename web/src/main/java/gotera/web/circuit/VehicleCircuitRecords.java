package gotera.web.circuit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VehicleCircuitRecords extends JpaRepository<VehicleCircuitRecord, UUID> {
  List<VehicleCircuitRecord> findByEngineTypeId(UUID engineTypeId);

  /** How many vehicles have an engine type. */
  int countByEngineTypeId(UUID engineTypeId);
}
