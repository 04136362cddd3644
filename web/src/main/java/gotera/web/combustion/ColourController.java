package gotera.web.combustion;

import gotera.combustion.FluidColour;
import gotera.combustion.FluidColour.Spot;
import gotera.said.InsideSaid;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.photo.SpotOfPhotograph;
import gotera.web.words.Words;
import gotera.work.Step;
import java.security.Principal;
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

/** The fluid's colour from the first and the last photograph of a gas check. */
@Controller
class ColourController {
  private static final String AT = "/inside/gas-check/colour";

  private final GasService gas;
  private final JobService jobs;
  private final PhotoService photos;
  private final Words words;

  ColourController(GasService gas, JobService jobs, PhotoService photos, Words words) {
    this.gas = gas;
    this.jobs = jobs;
    this.photos = photos;
    this.words = words;
  }

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, ColourForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object measure(
      @PathVariable UUID id,
      @ModelAttribute ColourForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    List<UUID> taken = photographs(id);
    if (taken.size() < 2) {
      return "redirect:/jobs/" + id + AT;
    }
    FieldProblems problems = new FieldProblems(words);
    SpotOfPhotograph first = photos.spots(taken.get(0));
    SpotOfPhotograph last = photos.spots(taken.get(taken.size() - 1));
    Optional<Spot> whiteBefore =
        ColourForm.white(problems, "whiteBefore", form.whiteBefore(), first);
    Optional<Spot> fluidBefore =
        ColourForm.spot(problems, "fluidBefore", form.fluidBefore(), first);
    Optional<Spot> whiteAfter = ColourForm.white(problems, "whiteAfter", form.whiteAfter(), last);
    Optional<Spot> fluidAfter = ColourForm.spot(problems, "fluidAfter", form.fluidAfter(), last);
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    FluidColour before = FluidColour.of(fluidBefore.orElseThrow(), whiteBefore.orElseThrow());
    FluidColour after = FluidColour.of(fluidAfter.orElseThrow(), whiteAfter.orElseThrow());
    gas.measured(id, said(before, after), principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  private String said(FluidColour before, FluidColour after) {
    return words.say(
        "colour.said",
        Figures.fixed(after.difference(before), 0),
        Figures.fixed(before.hue(), 0),
        Figures.fixed(after.hue(), 0));
  }

  private List<UUID> photographs(UUID id) {
    return gas.now(id).stream().flatMap(f -> f.photo().stream()).toList();
  }

  private String page(
      UUID id, ColourForm form, Map<String, String> problems, Figures figures, Model model) {
    jobs.require(id);
    List<UUID> taken = photographs(id);
    model.addAttribute("place", new JobPlace(id, Step.INSIDE, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("enough", taken.size() > 1);
    if (taken.size() > 1) {
      model.addAttribute("before", "/photos/" + taken.get(0));
      model.addAttribute("after", "/photos/" + taken.get(taken.size() - 1));
    }
    List<Finding<InsideSaid.ColourMeasured>> measured = gas.measured(id);
    model.addAttribute("measured", measured);
    return "combustion/colour";
  }
}
