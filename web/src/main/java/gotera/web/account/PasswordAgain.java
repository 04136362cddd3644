package gotera.web.account;

import gotera.web.figures.FieldProblems;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Component;

/**
 * Asks somebody who is signed in for the password again, before something is changed that opens the
 * account: guessed at from an open screen, it is slowed as at the door.
 */
@Component
class PasswordAgain {
  private final AccountService accounts;
  private final SignInTries tries;

  PasswordAgain(AccountService accounts, SignInTries tries) {
    this.accounts = accounts;
    this.tries = tries;
  }

  /**
   * Notes at field {@code password} what is wrong with it: it is not the account's, or too many
   * were tried.
   */
  void check(FieldProblems problems, String password, HttpServletRequest request) {
    String login = request.getRemoteUser();
    String address = request.getRemoteAddr();
    if (tries.mustWait(login, address)) {
      problems.add("password", "problem.password-wait");
    } else if (!accounts.knows(login, password)) {
      tries.wrong(login, address);
      problems.add("password", "problem.password-wrong");
    }
  }
}
