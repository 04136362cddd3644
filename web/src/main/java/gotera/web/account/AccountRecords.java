package gotera.web.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AccountRecords extends JpaRepository<AccountRecord, UUID> {
  Optional<AccountRecord> findByLogin(String login);

  List<AccountRecord> findAllByOrderByLogin();

  /** Counts a wrong password; a single statement, so that tries at once are all counted. */
  @Modifying
  @Query(
      "update AccountRecord a set a.wrongPasswords = a.wrongPasswords + 1, a.lockedUntil ="
          + " case when a.wrongPasswords + 1 >= :most then :until else a.lockedUntil end"
          + " where a.login = :login")
  void countWrongPassword(String login, int most, Instant until);

  /** Forgets the wrong passwords. */
  @Modifying
  @Query(
      "update AccountRecord a set a.wrongPasswords = 0, a.lockedUntil = null"
          + " where a.login = :login and a.wrongPasswords > 0")
  void forgetWrongPasswords(String login);
}
