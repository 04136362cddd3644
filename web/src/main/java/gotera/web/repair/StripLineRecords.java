package gotera.web.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StripLineRecords extends JpaRepository<StripLineRecord, UUID> {
  List<StripLineRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);
}
