package gotera.web.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccountRecords extends JpaRepository<AccountRecord, UUID> {
  Optional<AccountRecord> findByLogin(String login);
}
