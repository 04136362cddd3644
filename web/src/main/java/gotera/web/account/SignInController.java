package gotera.web.account;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page; the signing in itself is Spring Security's. */
@Controller
class SignInController {
  private final AccountService accounts;

  SignInController(AccountService accounts) {
    this.accounts = accounts;
  }

  @GetMapping("/sign-in")
  String page() {
    if (!accounts.anyExists()) {
      return "redirect:/first-account";
    }
    return "account/sign-in";
  }
}
