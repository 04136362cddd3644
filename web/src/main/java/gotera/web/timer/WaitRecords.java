package gotera.web.timer;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WaitRecords extends JpaRepository<WaitRecord, UUID> {
  List<WaitRecord> findByEndedAtIsNullOrderByDueAtAsc();

  List<WaitRecord> findByJobIdAndEndedAtIsNullOrderByDueAtAsc(UUID jobId);

  List<WaitRecord> findByJobIdOrderByBegunAtAscIdAsc(UUID jobId);
}
