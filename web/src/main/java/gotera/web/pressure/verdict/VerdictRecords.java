package gotera.web.pressure.verdict;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VerdictRecords extends JpaRepository<VerdictRecord, UUID> {
  Optional<VerdictRecord> findByPressureTestIdAndWithdrawnAtIsNull(UUID pressureTestId);
}
