package gotera.web.decide;

import gotera.web.decide.DecidePages.Offered;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.link.CustomerLinkService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.link.HandedLinks;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page Decide of a job, and the customer's sheet as the workshop fills it in. */
@Controller
class DecideController {
  private final DecidePages pages;
  private final QuoteService quotes;
  private final PriceService prices;
  private final CustomerLinkService links;
  private final HandedLinks handed;
  private final JobService jobs;
  private final Words words;
  private final Clock clock;

  DecideController(
      DecidePages pages,
      QuoteService quotes,
      PriceService prices,
      CustomerLinkService links,
      HandedLinks handed,
      JobService jobs,
      Words words,
      Clock clock) {
    this.pages = pages;
    this.quotes = quotes;
    this.prices = prices;
    this.links = links;
    this.handed = handed;
    this.jobs = jobs;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/jobs/{id}/decide")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, LineForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/decide/ways/{number}")
  String way(
      @PathVariable UUID id,
      @PathVariable int number,
      HttpServletRequest request,
      RedirectAttributes once,
      Principal principal) {
    jobs.require(id);
    if (!pages.isFound(id) && !request.isUserInRole("LEAD")) {
      once.addFlashAttribute("tryProblem", words.say("decide.try-lead"));
      return back(id);
    }
    add(id, LineKind.WAY, pages.way(id, number), principal);
    return back(id);
  }

  @PostMapping("/jobs/{id}/decide/neighbours")
  String neighbour(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String repair, Principal principal) {
    jobs.require(id);
    add(id, LineKind.NEIGHBOUR, pages.neighbour(id, Entry.text(repair, 120)), principal);
    return back(id);
  }

  private void add(UUID id, LineKind kind, Optional<Offered> offered, Principal principal) {
    Offered o = offered.orElseThrow(() -> new NotFound("a repair that is weighed here"));
    quotes.add(id, kind, cut(o.what(), 200), cut(o.detail(), 1000), o.price(), principal.getName());
  }

  private static String cut(String text, int longest) {
    return text.length() > longest ? text.substring(0, longest - 1) + "\u2026" : text;
  }

  @PostMapping("/jobs/{id}/quote/lines")
  Object line(
      @PathVariable UUID id,
      @ModelAttribute LineForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    Optional<QuoteService.Price> price = form.read(problems, prices.rates().currency());
    if (price.isEmpty()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    quotes.add(id, LineKind.COMPLAINT, form.what(), "", price.get(), principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/quote/consents")
  String consent(
      @PathVariable UUID id, @RequestParam(defaultValue = "") String to, Principal principal) {
    jobs.require(id);
    Consent consent = Worded.of(Consent.class, to).orElseThrow(() -> new NotFound(to));
    quotes.ask(
        id,
        consent,
        words.say("consent." + consent.word()),
        words.say("consent.means." + consent.word()),
        principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/quote/lines/{lineId}/decide")
  Object decide(
      @PathVariable UUID id,
      @PathVariable UUID lineId,
      @ModelAttribute DecisionForm form,
      Figures figures,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    form.named(problems);
    Optional<LocalDate> until = form.day(problems, LocalDate.now(clock));
    if (!problems.none()) {
      model.addAttribute("decisionOf", lineId.toString());
      model.addAttribute("decision", form);
      return Pages.unprocessable(
          page(id, LineForm.EMPTY, problems.sentences(), figures, model), model);
    }
    quotes.decide(id, lineId, form.word(), until, form.name());
    return back(id);
  }

  @PostMapping("/jobs/{id}/quote/lines/{lineId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID lineId, Principal principal) {
    jobs.require(id);
    quotes.withdraw(id, lineId, principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/quote/links")
  String link(
      @PathVariable UUID id,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    jobs.require(id);
    handed.show(id, Purpose.QUOTE, principal.getName(), request, once);
    return back(id);
  }

  @PostMapping("/jobs/{id}/quote/links/{linkId}/withdraw")
  String withdrawLink(@PathVariable UUID id, @PathVariable UUID linkId) {
    links.withdraw(id, linkId);
    return back(id);
  }

  private static String back(UUID id) {
    return "redirect:/jobs/" + id + "/decide";
  }

  private String page(
      UUID id, LineForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.DECIDE, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("consents", Arrays.stream(Consent.values()).map(Consent::word).toList());
    model.addAttribute("tags", TagController.SAYS);
    model.addAttribute("links", links.of(id, Purpose.QUOTE));
    model.addAttribute("known", pages.page(id));
    return "decide/decide";
  }
}
