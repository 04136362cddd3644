package gotera.web.combustion;

import gotera.circuit.Features.Drive;
import gotera.combustion.GasColour;
import gotera.said.GasCheckSaid;
import gotera.web.circuit.EngineTypeService;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.guide.GuideService;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.io.IOException;
import java.security.Principal;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The guided check for combustion gas. */
@Controller
class GasController {
  private static final String AT = "/inside/gas-check";

  private final GasService gas;
  private final GasPages pages;
  private final EngineTypeService types;
  private final JobService jobs;
  private final PhotoService photos;
  private final Words words;

  GasController(
      GasService gas,
      GasPages pages,
      EngineTypeService types,
      JobService jobs,
      PhotoService photos,
      Words words) {
    this.gas = gas;
    this.pages = pages;
    this.types = types;
    this.jobs = jobs;
    this.photos = photos;
    this.words = words;
  }

  @GetMapping("/jobs/{id}" + AT)
  String page(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, GasForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}" + AT)
  Object step(
      @PathVariable UUID id,
      @ModelAttribute GasForm form,
      @RequestParam(required = false) @Nullable MultipartFile photo,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    burns(id);
    GasWord word =
        Worded.of(GasWord.class, form.step()).orElseThrow(() -> new NotFound(form.step()));
    FieldProblems problems = new FieldProblems(words);
    impossible(id, word, problems);
    Optional<GasCheckSaid> said = form.said(word, problems, figures);
    Optional<Photograph> photograph = photos.read(problems, photo);
    Duration ago = GuideService.ago(problems, form.ago());
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    gas.write(id, said.orElseThrow(), photograph, ago, principal.getName());
    return "redirect:/jobs/" + id + AT;
  }

  /** A colour that this fuel's gas cannot give is asked back. */
  private void impossible(UUID id, GasWord word, FieldProblems problems) {
    boolean diesel = types.features(id).drive() == Drive.DIESEL;
    GasWord never = GasWord.valueOf(GasColour.of(!diesel).name());
    if (word == never) {
      problems.add("form", "gas-check.never." + (diesel ? "diesel" : "petrol"));
    }
  }

  private void burns(UUID id) {
    jobs.require(id);
    if (types.features(id).drive() == Drive.ELECTRIC) {
      throw new NotFound("a check that an electric drive has");
    }
  }

  private String page(
      UUID id, GasForm form, Map<String, String> problems, Figures figures, Model model) {
    burns(id);
    model.addAttribute("place", new JobPlace(id, Step.INSIDE, figures));
    model.addAttribute("form", form);
    model.addAttribute("fillers", GasForm.FILLERS);
    model.addAttribute("problems", problems);
    model.addAttribute("check", pages.page(id, figures));
    return "combustion/gas-check";
  }
}
