package gotera.web.account;

import gotera.quantity.Units;
import gotera.web.figures.ChosenUnits;
import gotera.web.frame.NotFound;
import gotera.web.storage.Identifiers;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts: creating and changing them, and finding the one that signs in. */
@Service
public class AccountService implements UserDetailsService, ChosenUnits {
  private final AccountRecords accounts;
  private final PasswordEncoder passwords;
  private final Identifiers identifiers;
  private final Clock clock;
  private final AccountSessions sessions;
  private final SignInTries tries;
  private final JdbcTemplate database;

  AccountService(
      AccountRecords accounts,
      PasswordEncoder passwords,
      Identifiers identifiers,
      Clock clock,
      AccountSessions sessions,
      SignInTries tries,
      JdbcTemplate database) {
    this.database = database;
    this.sessions = sessions;
    this.tries = tries;
    this.accounts = accounts;
    this.passwords = passwords;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public UserDetails loadUserByUsername(String login) {
    AccountRecord account =
        accounts
            .findByLogin(normal(login))
            .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    return User.withUsername(account.login)
        .password(account.passwordHash)
        .roles(account.role)
        .disabled(!account.enabled)
        .build();
  }

  /** A name as it is kept. */
  static String normal(String login) {
    return login.strip().toLowerCase(Locale.ROOT);
  }

  /** Nobody would be left who leads. */
  static final class LastLead extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  /** All accounts by what is typed to sign in. */
  @Transactional(readOnly = true)
  List<AccountView> all() {
    return accounts.findAllByOrderByLogin().stream().map(this::view).toList();
  }

  /** The account, or not found. */
  @Transactional(readOnly = true)
  AccountView require(UUID id) {
    return view(record(id));
  }

  /** Creates an account; false if its name is taken. */
  @Transactional
  public boolean create(String login, String name, String password, Role role) {
    if (accounts.findByLogin(login).isPresent()) {
      return false;
    }
    AccountRecord account =
        new AccountRecord(identifiers.next(), login, name, encoded(password), role);
    account.passwordChangedAt = clock.instant();
    accounts.save(account);
    return true;
  }

  /**
   * Changes an account. Where it may do less than before, or has a new password, it is signed out
   * everywhere.
   *
   * @param password its new password; empty for none
   * @param version version that was read; an older one is refused
   * @throws LastLead where nobody would be left to lead
   */
  @Transactional
  public void change(
      UUID id, String name, Role role, boolean enabled, String password, int version) {
    AccountRecord account = record(id);
    if (account.version == null || account.version != version) {
      throw new OptimisticLockingFailureException("account " + id);
    }
    boolean leads = role == Role.LEAD && enabled;
    if (!leads && accounts.leadsHeld().stream().allMatch(a -> a.id.equals(id))) {
      throw new LastLead();
    }
    boolean other = !account.role.equals(role.name()) || account.enabled != enabled;
    account.name = name;
    account.role = role.name();
    account.enabled = enabled;
    if (!password.isEmpty()) {
      setPassword(account, password);
    }
    accounts.save(account);
    if (other || !password.isEmpty()) {
      sessions.end(account.login, "");
    }
  }

  /** Changes one's own password; the present one was asked for. */
  @Transactional
  void changePassword(String login, String password) {
    AccountRecord account =
        accounts.findByLogin(login).orElseThrow(() -> new NotFound("own account"));
    setPassword(account, password);
    accounts.save(account);
  }

  /** Whether a password is an account's. */
  @Transactional(readOnly = true)
  public boolean knows(String login, String password) {
    return accounts
        .findByLogin(login)
        .filter(a -> passwords.matches(password, a.passwordHash))
        .isPresent();
  }

  /** Gives an account its password; makes it if it is not there. For the demonstration. */
  @Transactional
  public void put(String login, String name, String password, Role role) {
    if (!create(login, name, password, role)) {
      AccountRecord account = accounts.findByLogin(login).orElseThrow();
      if (!passwords.matches(password, account.passwordHash)) {
        setPassword(account, password);
        accounts.save(account);
      }
    }
  }

  private void setPassword(AccountRecord account, String password) {
    account.passwordHash = encoded(password);
    account.passwordChangedAt = clock.instant();
    tries.forget(account.login);
  }

  private AccountRecord record(UUID id) {
    return accounts.findById(id).orElseThrow(() -> new NotFound("account " + id));
  }

  private AccountView view(AccountRecord a) {
    return new AccountView(
        a.id,
        a.login,
        a.name,
        Role.valueOf(a.role),
        a.enabled,
        tries.waits(a.login),
        a.version == null ? 0 : a.version);
  }

  private String encoded(String password) {
    String encoded = passwords.encode(password);
    if (encoded == null) {
      throw new IllegalStateException("the password could not be encoded");
    }
    return encoded;
  }

  @Override
  public Optional<Units> of(String login) {
    // asked with every request: one question, and no transaction
    return database
        .query(
            "select units from account where login = ?",
            (row, n) -> Units.read(row.getString(1)),
            normal(login))
        .stream()
        .findFirst();
  }

  @Override
  @Transactional
  public void choose(String login, Units units) {
    AccountRecord account =
        accounts.findByLogin(normal(login)).orElseThrow(() -> new NotFound("own account"));
    account.units = units.word();
    accounts.save(account);
  }

  /** Whether there is any account yet. */
  @Transactional(readOnly = true)
  public boolean anyExists() {
    return accounts.count() > 0;
  }
}
