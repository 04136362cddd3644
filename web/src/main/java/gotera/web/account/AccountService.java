package gotera.web.account;

import gotera.web.shell.Identifiers;
import java.util.Locale;
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
  private final AccountRecords accounts;
  private final PasswordEncoder passwords;
  private final Identifiers identifiers;

  AccountService(AccountRecords accounts, PasswordEncoder passwords, Identifiers identifiers) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.identifiers = identifiers;
  }

  @Override
  @Transactional(readOnly = true)
  public UserDetails loadUserByUsername(String login) {
    AccountRecord account =
        accounts
            .findByLogin(login.strip().toLowerCase(Locale.ROOT))
            .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    return User.withUsername(account.login)
        .password(account.passwordHash)
        .roles(account.role)
        .disabled(!account.enabled)
        .build();
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
