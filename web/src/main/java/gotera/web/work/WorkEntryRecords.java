package gotera.web.work;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WorkEntryRecords extends JpaRepository<WorkEntryRecord, UUID> {
  List<WorkEntryRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);

  List<WorkEntryRecord> findByWrittenByAndClockFromIsNotNullAndClockToIsNullAndWithdrawnAtIsNull(
      String by);
}
