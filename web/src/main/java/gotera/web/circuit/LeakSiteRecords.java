package gotera.web.circuit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LeakSiteRecords extends JpaRepository<LeakSiteRecord, UUID> {
  List<LeakSiteRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);

  List<LeakSiteRecord> findByJointAndJobIdInAndPhotoIdIsNotNullOrderByWrittenAtDesc(
      String joint, List<UUID> jobIds);
}
