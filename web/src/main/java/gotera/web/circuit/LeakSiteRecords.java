package gotera.web.circuit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LeakSiteRecords extends JpaRepository<LeakSiteRecord, UUID> {
  List<LeakSiteRecord> findByJobIdAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(UUID jobId);

  List<LeakSiteRecord>
      findByJointAndJobIdInAndPhotoIdIsNotNullAndWithdrawnAtIsNullOrderByWrittenAtDesc(
          String joint, List<UUID> jobIds);
}
