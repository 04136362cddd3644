package gotera.web.pressure;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface PressureTestRecords extends JpaRepository<PressureTestRecord, UUID> {
  Optional<PressureTestRecord> findFirstByJobIdAndPhaseOrderByNumberDesc(UUID jobId, String phase);

  /** The test, held until the transaction ends: writers of one test come one after the other. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<PressureTestRecord> findLockedById(UUID id);

  List<PressureTestRecord> findByJobIdAndDiscardedAtIsNullOrderByStartedAt(UUID jobId);

  List<PressureTestRecord> findByJobIdOrderByStartedAt(UUID jobId);
}
