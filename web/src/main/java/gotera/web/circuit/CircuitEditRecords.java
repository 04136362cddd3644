package gotera.web.circuit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CircuitEditRecords extends JpaRepository<CircuitEditRecord, UUID> {
  List<CircuitEditRecord> findByEngineTypeIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(
      UUID engineTypeId);

  List<CircuitEditRecord> findByVehicleIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(
      UUID vehicleId);
}
