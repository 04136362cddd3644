package gotera.web.level;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LevelMarkRecords extends JpaRepository<LevelMarkRecord, UUID> {
  int countByJobIdAndWrittenByAndWrittenAtAfter(UUID jobId, String writtenBy, Instant after);

  List<LevelMarkRecord> findByJobIdAndWithdrawnAtIsNullOrderByReadAtAscIdAsc(UUID jobId);

  List<LevelMarkRecord> findByJobIdOrderByWrittenAtAscIdAsc(UUID jobId);

  List<LevelMarkRecord> findByJobIdOrderByWrittenAt(UUID jobId);
}
