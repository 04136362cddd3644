package gotera.web.repair;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RepairRecords extends JpaRepository<RepairRecord, UUID> {
  List<RepairRecord> findByJobIdAndWithdrawnAtIsNullOrderByWrittenAt(UUID jobId);

  List<RepairRecord> findByJobIdInAndRenewedIsTrueAndWithdrawnAtIsNullOrderByWrittenAt(
      List<UUID> jobIds);

  List<RepairRecord> findByJobIdInAndJointNotAndWithdrawnAtIsNullOrderByWrittenAt(
      List<UUID> jobIds, String joint);
}
