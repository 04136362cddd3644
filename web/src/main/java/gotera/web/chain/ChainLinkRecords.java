package gotera.web.chain;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ChainLinkRecords extends JpaRepository<ChainLinkRecord, UUID> {
  List<ChainLinkRecord> findByJobIdOrderByNumber(UUID jobId);
}
