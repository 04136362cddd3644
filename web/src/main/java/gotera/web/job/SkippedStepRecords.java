package gotera.web.job;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SkippedStepRecords extends JpaRepository<SkippedStepRecord, UUID> {
  List<SkippedStepRecord> findByJobIdAndWithdrawnAtIsNull(UUID jobId);
}
