package gotera.web.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VehicleRecords extends JpaRepository<VehicleRecord, UUID> {
  Optional<VehicleRecord> findByName(String name);

  List<VehicleRecord> findAllByOrderByName();
}
