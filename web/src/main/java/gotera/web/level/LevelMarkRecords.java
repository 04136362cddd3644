package gotera.web.level;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LevelMarkRecords extends JpaRepository<LevelMarkRecord, UUID> {
  List<LevelMarkRecord> findByJobIdAndWithdrawnAtIsNullOrderByReadAtAscIdAsc(UUID jobId);

  List<LevelMarkRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);

  List<LevelMarkRecord> findByJobIdOrderByWrittenAt(UUID jobId);
}
