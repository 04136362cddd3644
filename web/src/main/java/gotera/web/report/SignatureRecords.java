package gotera.web.report;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SignatureRecords extends JpaRepository<SignatureRecord, UUID> {
  List<SignatureRecord> findByJobIdOrderByWrittenAt(UUID jobId);
}
