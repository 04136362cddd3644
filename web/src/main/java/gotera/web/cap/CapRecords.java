package gotera.web.cap;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CapRecords extends JpaRepository<CapRecord, UUID> {
  Optional<CapRecord> findByJobId(UUID jobId);
}
