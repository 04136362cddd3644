package gotera.web.report;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReportLinkRecords extends JpaRepository<ReportLinkRecord, UUID> {
  Optional<ReportLinkRecord> findByTokenSha256(String tokenSha256);

  List<ReportLinkRecord> findByJobIdOrderByMadeAtDesc(UUID jobId);
}
