package gotera.web.pressure.trace;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TraceEventRecords extends JpaRepository<TraceEventRecord, UUID> {
  List<TraceEventRecord> findByPressureTestIdOrderById(UUID pressureTestId);

  List<TraceEventRecord> findByPressureTestIdAndWithdrawnAtIsNullOrderById(UUID pressureTestId);
}
