package gotera.web.account;

import gotera.web.figures.FieldProblems;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** Makes the first account, a lead's; gone as soon as there is one. */
@Controller
class FirstAccountController {
  private final AccountService accounts;
  private final FirstAccountProperties properties;
  private final Words words;

  FirstAccountController(AccountService accounts, FirstAccountProperties properties, Words words) {
    this.accounts = accounts;
    this.properties = properties;
    this.words = words;
  }

  @GetMapping("/first-account")
  String page(Model model) {
    onlyFirst();
    return page(AccountForm.EMPTY, Map.of(), model);
  }

  @PostMapping("/first-account")
  Object make(@ModelAttribute AccountForm form, Model model) {
    onlyFirst();
    FieldProblems problems = new FieldProblems(words);
    if (!properties.opens(form.code())) {
      problems.add("code", "problem.first-account-code");
    }
    form.check(problems, true);
    if (!problems.none()) {
      return Pages.unprocessable(page(form.withoutSecrets(), problems.sentences(), model), model);
    }
    accounts.create(form.login(), form.name(), form.password(), Role.LEAD);
    return "redirect:/sign-in?first";
  }

  private void onlyFirst() {
    if (accounts.anyExists()) {
      throw new NotFound("first account");
    }
  }

  private static String page(AccountForm form, Map<String, String> problems, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    return "account/first";
  }
}
