package gotera.web.account;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AccountRecords extends JpaRepository<AccountRecord, UUID> {
  Optional<AccountRecord> findByLogin(String login);

  List<AccountRecord> findAllByOrderByLogin();

  /**
   * Counts a wrong password; a single statement, so that tries at once are all counted. A lock that
   * has passed begins the count anew. The database assigns from left to right: the lock sees the
   * new count.
   */
  @Modifying
  @Query(
      "update AccountRecord a set"
          + " a.wrongPasswords = case when a.lockedUntil <= :now then 1 else a.wrongPasswords + 1 end,"
          + " a.lockedUntil = case when a.wrongPasswords >= :most then :until"
          + " when a.lockedUntil <= :now then null else a.lockedUntil end"
          + " where a.login = :login")
  void countWrongPassword(String login, int most, Instant now, Instant until);

  /** The leads that may sign in, held until the change is made. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select a from AccountRecord a where a.role = 'LEAD' and a.enabled = true order by a.id")
  List<AccountRecord> leadsHeld();

  /** Forgets the wrong passwords. */
  @Modifying
  @Query(
      "update AccountRecord a set a.wrongPasswords = 0, a.lockedUntil = null"
          + " where a.login = :login and a.wrongPasswords > 0")
  void forgetWrongPasswords(String login);
}
