package gotera.web.repair;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StripLineRecords extends JpaRepository<StripLineRecord, UUID> {
  List<StripLineRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);

  Optional<StripLineRecord> findFirstByJobIdInAndWithdrawnAtIsNullOrderByWrittenAtDescIdDesc(
      List<UUID> jobIds);
}
