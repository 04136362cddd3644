package gotera.web.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LessonRecords extends JpaRepository<LessonRecord, UUID> {
  List<LessonRecord> findByEngineTypeIdAndKindAndWithdrawnAtIsNullOrderByWrittenAtAscIdAsc(
      UUID typeId, String kind);
}
