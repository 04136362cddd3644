package gotera.web.account;

import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.frame.QrCode;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * One's own second factor: set up with a telephone, and taken away. Both ask for the password:
 * whoever finds a screen open neither locks its owner out nor opens the account for later.
 */
@Controller
class SecondFactorController {
  /** The secret that was shown and not kept yet, within the session. */
  private static final String SHOWN = SecondFactorController.class.getName();

  private static final String PAGE = "redirect:/account/second-factor";

  private final SecondFactor second;
  private final PasswordAgain again;
  private final AccountSessions sessions;
  private final Words words;

  SecondFactorController(
      SecondFactor second, PasswordAgain again, AccountSessions sessions, Words words) {
    this.second = second;
    this.again = again;
    this.sessions = sessions;
    this.words = words;
  }

  @GetMapping("/account/second-factor")
  String page(Principal principal, HttpSession session, HttpServletResponse response, Model model) {
    response.setHeader("Cache-Control", "no-store");
    return page(principal, session, Map.of(), model);
  }

  private String page(
      Principal principal, HttpSession session, Map<String, String> problems, Model model) {
    Optional<SecondFactor.State> state = second.of(principal.getName());
    model.addAttribute("since", state.map(s -> Figures.moment(s.since())).orElse(""));
    model.addAttribute("left", state.map(SecondFactor.State::recoveryCodes).orElse(0));
    model.addAttribute("problems", problems);
    if (state.isEmpty() && session.getAttribute(SHOWN) instanceof String secret) {
      model.addAttribute("secret", secret.replaceAll("(.{4})(?=.)", "$1 "));
      model.addAttribute(
          "qr",
          QrCode.of(SecondFactor.address(principal.getName(), secret))
              .svg(words.say("second-factor.qr")));
    }
    return "account/second-factor";
  }

  /** Shows a new secret. */
  @PostMapping("/account/second-factor/begin")
  Object begin(
      @RequestParam(defaultValue = "") String password,
      Principal principal,
      HttpServletRequest request,
      HttpSession session,
      Model model) {
    if (second.of(principal.getName()).isPresent()) {
      return PAGE;
    }
    FieldProblems problems = new FieldProblems(words);
    again.check(problems, password, request);
    if (!problems.none()) {
      return Pages.unprocessable(page(principal, session, problems.sentences(), model), model);
    }
    session.setAttribute(SHOWN, second.secret());
    return PAGE;
  }

  /** Keeps it, once a code shows that the telephone has it; other sessions end. */
  @PostMapping("/account/second-factor/confirm")
  Object confirm(
      @RequestParam(defaultValue = "") String code,
      Principal principal,
      HttpSession session,
      RedirectAttributes once,
      Model model) {
    if (!(session.getAttribute(SHOWN) instanceof String secret)) {
      return PAGE;
    }
    List<String> recovery =
        second.keep(principal.getName(), secret, Entry.text(code, 20).replaceAll("\\s", ""));
    if (recovery.isEmpty()) {
      FieldProblems problems = new FieldProblems(words);
      problems.add("code", "problem.code-wrong");
      return Pages.unprocessable(page(principal, session, problems.sentences(), model), model);
    }
    session.removeAttribute(SHOWN);
    sessions.end(principal.getName(), session.getId());
    once.addFlashAttribute("recovery", recovery);
    return PAGE;
  }

  /** Takes it away. */
  @PostMapping("/account/second-factor/remove")
  Object remove(
      @RequestParam(defaultValue = "") String password,
      Principal principal,
      HttpServletRequest request,
      HttpSession session,
      Model model) {
    FieldProblems problems = new FieldProblems(words);
    again.check(problems, password, request);
    if (!problems.none()) {
      return Pages.unprocessable(page(principal, session, problems.sentences(), model), model);
    }
    second.remove(principal.getName());
    return PAGE;
  }
}
