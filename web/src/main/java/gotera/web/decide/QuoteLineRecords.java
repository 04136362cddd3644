package gotera.web.decide;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface QuoteLineRecords extends JpaRepository<QuoteLineRecord, UUID> {
  List<QuoteLineRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);
}
