package gotera.web.pressure;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PressureTestRecords extends JpaRepository<PressureTestRecord, UUID> {
  Optional<PressureTestRecord> findFirstByJobIdAndPhaseOrderByNumberDesc(UUID jobId, String phase);

  List<PressureTestRecord> findByJobIdOrderByStartedAt(UUID jobId);
}
