package gotera.web.bubble;

import gotera.bubble.Funnel;
import gotera.circuit.Features.Drive;
import gotera.range.Range;
import gotera.said.FunnelSaid;
import gotera.web.circuit.EngineTypeService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.guide.GuideService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The guided watch of bubbles in a funnel. */
@Controller
class FunnelController {
  private static final String AT = "/inside/funnel";

  private final FunnelService funnels;
  private final GuideService guides;
  private final EngineTypeService types;
  private final JobService jobs;
  private final Words words;

  FunnelController(
      FunnelService funnels,
      GuideService guides,
      EngineTypeService types,
      JobService jobs,
      Words words) {
    this.funnels = funnels;
    this.guides = guides;
    this.types = types;
    this.jobs = jobs;
    this.words = words;
  }

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, FunnelForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object look(
      @PathVariable UUID id,
      @ModelAttribute FunnelForm form,
      Figures figures,
      Principal principal,
      Model model) {
    burns(id);
    FieldProblems problems = new FieldProblems(words);
    List<FunnelSaid> seen = seen(form, problems, figures);
    Duration ago = GuideService.ago(problems, form.ago());
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    funnels.write(id, seen, ago, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  private static List<FunnelSaid> seen(FunnelForm form, FieldProblems problems, Figures figures) {
    if (form.step().isEmpty()) {
      return form.look(problems, figures);
    }
    return List.of(
        switch (form.step()) {
          case "set-up" -> new FunnelSaid.SetUp(problems.number("area", form.area(), Range.AREA));
          case "moved" -> new FunnelSaid.Moved();
          case "squeezed" -> new FunnelSaid.Squeezed();
          case "burst" -> new FunnelSaid.Burst();
          case "ended" -> new FunnelSaid.Ended();
          default -> throw new NotFound(form.step());
        });
  }

  private void burns(UUID id) {
    jobs.require(id);
    if (types.features(id).drive() == Drive.ELECTRIC) {
      throw new NotFound("a check that an electric drive has");
    }
  }

  private String page(
      UUID id, FunnelForm form, Map<String, String> problems, Figures figures, Model model) {
    burns(id);
    List<Finding<FunnelSaid>> run = funnels.now(id);
    Optional<Funnel> funnel = funnels.funnel(id, run);
    model.addAttribute("place", new JobPlace(id, Step.INSIDE, figures));
    model.addAttribute("form", form);
    model.addAttribute("with", FunnelForm.WITH);
    model.addAttribute("problems", problems);
    model.addAttribute(
        "watch",
        new FunnelPage(
            funnel.isPresent(),
            funnel.map(f -> f.says().word()).orElse(""),
            funnel.filter(f -> f.says().counts()).isPresent(),
            funnel.map(this::figures).orElse(List.of()),
            GuideService.ended(run),
            guides.lines(run, figures)));
    return "bubble/funnel";
  }

  private List<String> figures(Funnel f) {
    List<String> said = new ArrayList<>();
    if (f.minutes() > 0) {
      said.add(words.say("funnel.minutes", Figures.fixed(f.minutes(), 0)));
      said.add(words.say("funnel.net", Figures.rate(f.rate(), f.u())));
    }
    if (f.bubbles() > 0) {
      said.add(words.say("funnel.bubbles", Figures.twoDigits(f.bubbles())));
    }
    f.least()
        .filter(least -> !f.says().counts())
        .ifPresent(
            least -> said.add(words.say("funnel.least", Figures.fixed(Math.ceil(least), 0))));
    if (f.says() != Funnel.Says.NOT_HOT) {
      said.add(words.say("funnel.drift", Figures.fixed(f.drift(), 1)));
    }
    return said;
  }
}
