package gotera.web.account;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Lets in who knows name and password, and the code where the account asks for one. */
@Component
class SignInProvider extends DaoAuthenticationProvider {
  private final SignInTries tries;
  private final SecondFactor second;

  SignInProvider(
      AccountService accounts, PasswordEncoder passwords, SignInTries tries, SecondFactor second) {
    super(accounts);
    setPasswordEncoder(passwords);
    this.tries = tries;
    this.second = second;
  }

  @Override
  public Authentication authenticate(Authentication asking) {
    if (tries.mustWait(AccountService.normal(asking.getName()), SignInTries.address(asking))) {
      throw new LockedException("too many wrong tries from there");
    }
    return super.authenticate(asking);
  }

  @Override
  protected void additionalAuthenticationChecks(
      UserDetails account, UsernamePasswordAuthenticationToken asking) {
    super.additionalAuthenticationChecks(account, asking);
    String code = asking.getDetails() instanceof WithCode details ? details.code : "";
    if (!second.passes(account.getUsername(), code)) {
      throw new BadCredentialsException("the code");
    }
  }

  /** Where somebody signs in from, and the code that was typed. */
  static final class WithCode extends WebAuthenticationDetails {
    private static final long serialVersionUID = 1L;
    private static final int LONGEST = 20;

    private final transient String code;

    WithCode(HttpServletRequest request) {
      super(request);
      String typed = request.getParameter("code");
      this.code = typed == null || typed.length() > LONGEST ? "" : typed;
    }
  }
}
