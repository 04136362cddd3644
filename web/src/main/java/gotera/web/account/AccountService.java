package gotera.web.account;

import gotera.web.shell.Identifiers;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AuthenticationFailureBadCredentialsEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts: creating them, and finding the one that signs in. */
@Service
public class AccountService implements UserDetailsService {
  /** Wrong passwords in a row before an account is locked (our judgement, untested). */
  private static final int MOST_WRONG = 5;

  /** How long it is locked (our judgement, untested). */
  private static final Duration LOCKED = Duration.ofMinutes(5);

  private final AccountRecords accounts;
  private final PasswordEncoder passwords;
  private final Identifiers identifiers;
  private final Clock clock;

  AccountService(
      AccountRecords accounts, PasswordEncoder passwords, Identifiers identifiers, Clock clock) {
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
        .accountLocked(account.lockedUntil != null && account.lockedUntil.isAfter(clock.instant()))
        .build();
  }

  /** A wrong password: after {@value #MOST_WRONG} in a row the account is locked for a while. */
  @EventListener
  @Transactional
  public void on(AuthenticationFailureBadCredentialsEvent wrong) {
    accounts.countWrongPassword(
        normal(wrong.getAuthentication().getName()), MOST_WRONG, clock.instant().plus(LOCKED));
  }

  /** The right password forgets the wrong ones. */
  @EventListener
  @Transactional
  public void on(AuthenticationSuccessEvent right) {
    accounts.forgetWrongPasswords(normal(right.getAuthentication().getName()));
  }

  private static String normal(String login) {
    return login.strip().toLowerCase(Locale.ROOT);
  }

  /** Creates an account, or gives an existing one this password. */
  @Transactional
  public void put(String login, String name, String password, Role role) {
    AccountRecord account =
        accounts
            .findByLogin(login)
            .orElseGet(() -> new AccountRecord(identifiers.next(), login, name, "", role));
    account.passwordHash = encoded(password);
    accounts.save(account);
  }

  private String encoded(String password) {
    String encoded = passwords.encode(password);
    if (encoded == null) {
      throw new IllegalStateException("the password could not be encoded");
    }
    return encoded;
  }

  /** Whether there is any account yet. */
  @Transactional(readOnly = true)
  public boolean anyExists() {
    return accounts.count() > 0;
  }
}
