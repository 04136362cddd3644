package gotera.web.decide;

import gotera.web.figures.FieldProblems;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.link.HandedLinks;
import gotera.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sheet as the customer sees it, by a link: reads it, decides line by line, gives a name. */
@Controller
class QuoteController {
  private final QuoteService quotes;
  private final DecidePages pages;
  private final HandedLinks links;
  private final JobService jobs;
  private final Words words;
  private final Clock clock;

  QuoteController(
      QuoteService quotes,
      DecidePages pages,
      HandedLinks links,
      JobService jobs,
      Words words,
      Clock clock) {
    this.quotes = quotes;
    this.pages = pages;
    this.links = links;
    this.jobs = jobs;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/quote/{token}")
  String page(@PathVariable String token, HttpServletResponse response, Model model) {
    UUID job = job(token, response);
    return page(token, job, new DecisionForm("", "", ""), "", Map.of(), model);
  }

  @PostMapping("/quote/{token}")
  Object decide(
      @PathVariable String token,
      @RequestParam(defaultValue = "") String line,
      @ModelAttribute DecisionForm form,
      HttpServletResponse response,
      Model model) {
    UUID job = job(token, response);
    FieldProblems problems = new FieldProblems(words);
    form.named(problems);
    Optional<LocalDate> until = form.day(problems, LocalDate.now(clock));
    if (!problems.none()) {
      return Pages.unprocessable(page(token, job, form, line, problems.sentences(), model), model);
    }
    quotes.decide(job, id(line), form.word(), until, form.name());
    return "redirect:/quote/" + token;
  }

  private static UUID id(String line) {
    try {
      return UUID.fromString(line);
    } catch (IllegalArgumentException e) {
      throw new NotFound(line);
    }
  }

  private UUID job(String token, HttpServletResponse response) {
    return links.open(token, Purpose.QUOTE, response);
  }

  private String page(
      String token,
      UUID job,
      DecisionForm form,
      String line,
      Map<String, String> problems,
      Model model) {
    DecidePage known = pages.page(job);
    model.addAttribute("token", token);
    model.addAttribute("vehicle", jobs.require(job).vehicle().orElse(""));
    model.addAttribute("claim", known.claim());
    model.addAttribute("lines", known.lines());
    model.addAttribute("tax", known.tax());
    model.addAttribute("decision", form);
    model.addAttribute("decisionOf", line);
    model.addAttribute("problems", problems);
    return "decide/quote";
  }
}
