package gotera.web.equipment;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EquipmentRecords extends JpaRepository<EquipmentRecord, UUID> {
  List<EquipmentRecord> findAllByOrderByRetiredAscKindDescNameAsc();

  Optional<EquipmentRecord> findByName(String name);
}
