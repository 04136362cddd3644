package gotera.web.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface AccountRecords extends JpaRepository<AccountRecord, UUID> {
  Optional<AccountRecord> findByLogin(String login);

  List<AccountRecord> findAllByOrderByLogin();

  /** The leads that may sign in, held until the change is made. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select a from AccountRecord a where a.role = 'LEAD' and a.enabled = true order by a.id")
  List<AccountRecord> leadsHeld();
}
