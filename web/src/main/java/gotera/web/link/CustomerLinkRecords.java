package gotera.web.link;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CustomerLinkRecords extends JpaRepository<CustomerLinkRecord, UUID> {
  Optional<CustomerLinkRecord> findByTokenSha256(String tokenSha256);

  List<CustomerLinkRecord> findByJobIdOrderByMadeAtDesc(UUID jobId);
}
