package gotera.web.finding;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FindingRecords extends JpaRepository<FindingRecord, UUID> {
  List<FindingRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);
}
