package gotera.web.report;

import gotera.web.decide.OpenPointsService;
import gotera.web.evidence.SuspectsService;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.link.CustomerLinkService;
import gotera.web.link.CustomerLinkService.Purpose;
import gotera.web.link.HandedLinks;
import gotera.web.retest.ProofPages;
import gotera.web.words.Words;
import gotera.work.Step;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hand over: what leaves the workshop, who signs for it, and how the job ends. */
@Controller
class HandOverController {
  /**
   * Strokes of a drawn signature: moves and lines between whole numbers; possessive, so that a long
   * one needs no deep stack.
   */
  private static final String STROKES = "(?:[ML]\\d{1,4},\\d{1,4})*+";

  private static final int LONGEST_DRAWING = 60_000;

  private final CustomerLinkService links;
  private final ProofPages proofs;
  private final JobService jobs;
  private final SuspectsService suspects;
  private final OpenPointsService openPoints;
  private final PaperService paper;
  private final HandedLinks handed;
  private final Words words;

  HandOverController(
      CustomerLinkService links,
      ProofPages proofs,
      JobService jobs,
      SuspectsService suspects,
      OpenPointsService openPoints,
      PaperService paper,
      HandedLinks handed,
      Words words) {
    this.links = links;
    this.proofs = proofs;
    this.jobs = jobs;
    this.suspects = suspects;
    this.openPoints = openPoints;
    this.paper = paper;
    this.handed = handed;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/hand-over")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, "", Map.of(), figures, model);
  }

  private String page(
      UUID id, String signer, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    model.addAttribute("place", new JobPlace(id, Step.HAND_OVER, figures));
    model.addAttribute("links", links.of(id, Purpose.REPORT));
    model.addAttribute("claim", suspects.claim(id));
    model.addAttribute("flags", suspects.flags(id));
    model.addAttribute("meanings", suspects.meanings(id));
    model.addAttribute("openPoints", openPoints.of(id));
    model.addAttribute("proof", proofs.page(id, figures));
    model.addAttribute("endings", jobs.endings());
    model.addAttribute("signer", signer);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "signed",
        paper.signatures(id).stream()
            .map(s -> words.say("report.signed", s.name, Figures.moment(s.writtenAt)))
            .toList());
    return "report/hand-over";
  }

  @PostMapping("/jobs/{id}/sign")
  Object sign(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String signer,
      @RequestParam(defaultValue = "") String drawing,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    String name = Entry.text(signer, 100);
    FieldProblems problems = new FieldProblems(words);
    if (name.isEmpty()) {
      problems.add("signer", "report.signer-missing");
    }
    if (drawing.length() > LONGEST_DRAWING || !drawing.matches(STROKES)) {
      problems.add("signer", "report.drawing-unreadable");
    }
    if (!problems.none()) {
      return Pages.unprocessable(page(id, name, problems.sentences(), figures, model), model);
    }
    paper.sign(id, name, drawing, principal.getName());
    return "redirect:/jobs/" + id + "/hand-over";
  }

  @PostMapping("/jobs/{id}/report-links")
  String make(
      @PathVariable UUID id,
      Principal principal,
      HttpServletRequest request,
      RedirectAttributes once) {
    jobs.require(id);
    handed.show(id, Purpose.REPORT, principal.getName(), request, once);
    return "redirect:/jobs/" + id + "/hand-over";
  }

  @PostMapping("/jobs/{id}/report-links/{linkId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID linkId) {
    links.withdraw(id, linkId);
    return "redirect:/jobs/" + id + "/hand-over";
  }
}
