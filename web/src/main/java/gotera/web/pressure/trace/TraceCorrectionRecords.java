package gotera.web.pressure.trace;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TraceCorrectionRecords extends JpaRepository<TraceCorrectionRecord, UUID> {
  List<TraceCorrectionRecord> findByPressureTestId(UUID pressureTestId);
}
