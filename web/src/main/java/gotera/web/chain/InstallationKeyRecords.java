package gotera.web.chain;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface InstallationKeyRecords extends JpaRepository<InstallationKeyRecord, Integer> {
  /** All, the newest first. */
  List<InstallationKeyRecord> findAllByOrderByIdDesc();

  /** The newest. */
  Optional<InstallationKeyRecord> findFirstByOrderByIdDesc();
}
