package gotera.web.circuit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EngineTypeRecords extends JpaRepository<EngineTypeRecord, UUID> {
  Optional<EngineTypeRecord> findByName(String name);

  List<EngineTypeRecord> findAllByOrderByName();
}
