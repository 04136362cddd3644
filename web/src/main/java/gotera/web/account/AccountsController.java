package gotera.web.account;

import gotera.web.account.AccountService.LastLead;
import gotera.web.figures.Conflict;
import gotera.web.figures.FieldProblems;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.Map;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The workshop's accounts, for its leads. */
@Controller
class AccountsController {
  private final AccountService accounts;
  private final Words words;

  AccountsController(AccountService accounts, Words words) {
    this.accounts = accounts;
    this.words = words;
  }

  @GetMapping("/accounts")
  String list(Model model) {
    return list(AccountForm.EMPTY, Map.of(), model);
  }

  @PostMapping("/accounts")
  Object create(@ModelAttribute AccountForm form, Model model) {
    FieldProblems problems = new FieldProblems(words);
    form.check(problems, true);
    if (problems.none()
        && !accounts.create(form.login(), form.name(), form.password(), form.roleMeant())) {
      problems.add("login", "problem.login-taken", form.login());
    }
    if (!problems.none()) {
      return Pages.unprocessable(list(form.withoutSecrets(), problems.sentences(), model), model);
    }
    return "redirect:/accounts";
  }

  @GetMapping("/accounts/{id}")
  String one(@PathVariable UUID id, Model model) {
    AccountView account = accounts.require(id);
    return one(account, AccountForm.of(account), Map.of(), model);
  }

  @PostMapping("/accounts/{id}")
  Object change(
      @PathVariable UUID id, @ModelAttribute AccountForm form, Principal principal, Model model) {
    AccountView account = accounts.require(id);
    FieldProblems problems = new FieldProblems(words);
    form.check(problems, false);
    boolean own = account.login().equals(principal.getName());
    if (own && (form.roleMeant() != Role.LEAD || form.enabled().equals("false"))) {
      problems.add("form", "problem.own-account");
    }
    if (problems.none()) {
      try {
        accounts.change(
            id,
            form.name(),
            form.roleMeant(),
            form.enabled().equals("true"),
            form.password(),
            form.versionRead());
        return "redirect:/accounts";
      } catch (LastLead e) {
        problems.add("form", "problem.last-lead");
      } catch (OptimisticLockingFailureException e) {
        problems.add("form", "problem.changed-meanwhile");
        AccountView now = accounts.require(id);
        model.addAttribute(
            "conflict",
            Conflict.between(form, AccountForm.of(now), Map.of("role", "role."), words));
        form = form.withVersion(now.version());
      }
    }
    return Pages.unprocessable(
        one(account, form.withoutSecrets(), problems.sentences(), model), model);
  }

  private String list(AccountForm form, Map<String, String> problems, Model model) {
    model.addAttribute("accounts", accounts.all());
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("roles", AccountForm.ROLES);
    return "account/accounts";
  }

  private static String one(
      AccountView account, AccountForm form, Map<String, String> problems, Model model) {
    model.addAttribute("account", account);
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("roles", AccountForm.ROLES);
    return "account/change";
  }
}
