package gotera.web.account;

import gotera.quantity.Units;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One's own account: the password, and where one is signed in. */
@Controller
class OwnAccountController {
  private final AccountService accounts;
  private final AccountSessions sessions;
  private final PasswordAgain again;
  private final Words words;

  OwnAccountController(
      AccountService accounts, AccountSessions sessions, PasswordAgain again, Words words) {
    this.accounts = accounts;
    this.sessions = sessions;
    this.again = again;
    this.words = words;
  }

  @GetMapping("/account")
  String page(Principal principal, HttpSession session, Model model) {
    return page(principal, session, Map.of(), model);
  }

  /** A session, as shown. */
  record SessionLine(String key, String begun, String seen, boolean mine) {}

  @PostMapping("/account/password")
  Object password(
      @RequestParam(defaultValue = "") String password,
      @RequestParam(defaultValue = "") String newPassword,
      Principal principal,
      HttpServletRequest request,
      HttpSession session,
      Model model) {
    FieldProblems problems = new FieldProblems(words);
    PasswordRules.check(problems, "newPassword", newPassword, principal.getName());
    if (problems.none()) {
      again.check(problems, password, request);
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(principal, session, problems.sentences(), model), model);
    }
    accounts.changePassword(principal.getName(), newPassword);
    sessions.end(principal.getName(), session.getId());
    return "redirect:/account?changed";
  }

  @PostMapping("/account/sign-out-elsewhere")
  String elsewhere(Principal principal, HttpSession session) {
    sessions.end(principal.getName(), session.getId());
    return "redirect:/account?elsewhere";
  }

  @PostMapping("/account/sessions/end")
  String endOne(@RequestParam(defaultValue = "") String key, Principal principal) {
    sessions.endOne(principal.getName(), key);
    return "redirect:/account";
  }

  private String page(
      Principal principal, HttpSession session, Map<String, String> problems, Model model) {
    model.addAttribute(
        "sessions",
        sessions.of(principal.getName(), session.getId()).stream()
            .map(
                b ->
                    new SessionLine(
                        b.key(), Figures.moment(b.begun()), Figures.moment(b.seen()), b.mine()))
            .toList());
    model.addAttribute("login", principal.getName());
    model.addAttribute("problems", problems);
    model.addAttribute(
        "unitKinds", UnitKinds.of(accounts.of(principal.getName()).orElse(Units.USUAL)));
    return "account/own";
  }
}
