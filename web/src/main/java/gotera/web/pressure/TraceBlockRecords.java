package gotera.web.pressure;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TraceBlockRecords extends JpaRepository<TraceBlockRecord, UUID> {
  List<TraceBlockRecord> findByPressureTestIdOrderBySeq(UUID pressureTestId);
}
