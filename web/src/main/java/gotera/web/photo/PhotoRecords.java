package gotera.web.photo;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface PhotoRecords extends JpaRepository<PhotoRecord, UUID> {
  /** The identifiers of a job's photographs, the oldest first. */
  @Query("select p.id from PhotoRecord p where p.jobId = :job order by p.writtenAt, p.id")
  List<UUID> ofJob(@Param("job") UUID jobId);
}
