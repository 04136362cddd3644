package gotera.web.pressure.trace;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TraceBlockRecords extends JpaRepository<TraceBlockRecord, UUID> {
  List<TraceBlockRecord> findByPressureTestIdOrderBySeq(UUID pressureTestId);

  /** The last block that was not taken back. */
  @Query(
      "select b from TraceBlockRecord b where b.pressureTestId = :testId and not exists"
          + " (select 1 from TraceCorrectionRecord c where c.traceBlockId = b.id)"
          + " order by b.seq desc limit 1")
  Optional<TraceBlockRecord> lastCounted(UUID testId);

  /** The number after the last block's, taken back or not. */
  @Query(
      "select coalesce(max(b.seq), 0) + 1 from TraceBlockRecord b where b.pressureTestId = :testId")
  int nextSeq(UUID testId);
}
