package gotera.web.job;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface JobRecords extends JpaRepository<JobRecord, UUID> {
  List<JobRecord> findByClosedAtIsNullAndDiscardedAtIsNullOrderByStartedAtDesc();

  List<JobRecord> findByVehicleIdIn(List<UUID> vehicleIds);

  List<JobRecord> findByVehicleIdInAndClosedAtIsNullAndDiscardedAtIsNull(List<UUID> vehicleIds);
}
