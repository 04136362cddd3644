package gotera.web.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface VehicleRecords extends JpaRepository<VehicleRecord, UUID> {
  Optional<VehicleRecord> findByName(String name);

  /** Names of other vehicles that differ from one only in case, accents or signs. */
  @Query(
      value =
          "select v.name from vehicle v where v.name collate utf8mb4_unicode_ci = :name"
              + " and v.name <> :name order by v.name limit 5",
      nativeQuery = true)
  List<String> alike(String name);

  /** The newest: enough to choose from, however many a workshop has seen. */
  List<VehicleRecord> findTop200ByOrderByIdDesc();
}
