package gotera.web.pressure;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CaughtRecords extends JpaRepository<CaughtRecord, UUID> {
  List<CaughtRecord> findByPressureTestIdAndWithdrawnAtIsNullOrderByWrittenAt(UUID pressureTestId);

  List<CaughtRecord> findByPressureTestIdOrderByWrittenAt(UUID pressureTestId);
}
