package gotera.web.equipment;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlugCheckRecords extends JpaRepository<PlugCheckRecord, UUID> {
  Optional<PlugCheckRecord> findFirstByEquipmentIdOrderByWrittenAtDesc(UUID equipmentId);
}
