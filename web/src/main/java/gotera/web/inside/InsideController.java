package gotera.web.inside;

import gotera.bubble.BubbleCondition;
import gotera.circuit.Features.Drive;
import gotera.combustion.GasColour;
import gotera.combustion.NotCounted;
import gotera.said.Answer;
import gotera.said.InsideSaid;
import gotera.said.InsideSaid.PlugLook;
import gotera.suspects.Checked;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.Fluid;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hiss;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.web.circuit.EngineTypeService;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingWords;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Inside: gas, bubbles, cylinders, fluids, the two hoses, what the hiss said. */
@Controller
class InsideController {
  /** Of the conditions of a gas check those that can be said where nobody watched its minute. */
  private static final Set<NotCounted> GAS_CONDITIONS =
      EnumSet.complementOf(EnumSet.of(NotCounted.TOO_SHORT));

  private final InsideService inside;
  private final EngineTypeService types;
  private final JobService jobs;
  private final FindingWords says;
  private final Words words;

  InsideController(
      InsideService inside,
      EngineTypeService types,
      JobService jobs,
      FindingWords says,
      Words words) {
    this.says = says;
    this.inside = inside;
    this.types = types;
    this.jobs = jobs;
    this.words = words;
  }

  /** Something that was found, as the page lists it. */
  record FoundLine(String id, String said) {}

  @GetMapping("/jobs/{id}/inside")
  String page(@PathVariable UUID id, Figures figures, Model model) {
    jobs.require(id);
    return page(id, InsideForm.EMPTY, Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/inside/gas")
  String gas(@PathVariable UUID id, @ModelAttribute InsideForm form, Principal principal) {
    burns(id);
    GasColour colour = word(GasColour.class, form.saw());
    GasColour never = GasColour.of(types.features(id).drive() != Drive.DIESEL);
    if (colour == never) {
      throw new NotFound("a colour that this fuel gives: " + colour.word());
    }
    inside.write(
        id, new InsideSaid.GasResult(colour, form.unmet(GAS_CONDITIONS)), principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/inside/bubbles")
  String bubbles(@PathVariable UUID id, @ModelAttribute InsideForm form, Principal principal) {
    burns(id);
    inside.write(
        id,
        new InsideSaid.BubblesResult(
            word(Bubbles.class, form.saw()), form.unmet(EnumSet.allOf(BubbleCondition.class))),
        principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/inside/cylinders")
  Object cylinder(
      @PathVariable UUID id,
      @ModelAttribute InsideForm form,
      Figures figures,
      Principal principal,
      Model model) {
    burns(id);
    FieldProblems problems = new FieldProblems(words);
    Optional<InCylinder> seen = form.cylinder(problems, types.features(id).lastCylinder());
    OptionalDouble depth = form.depth(problems);
    seen.ifPresent(
        s -> inside.write(id, new InsideSaid.CylinderSeen(s, depth), principal.getName()));
    return seen.isPresent() ? back(id) : refused(id, form, problems, figures, model);
  }

  @PostMapping("/jobs/{id}/inside/plugs")
  Object plug(
      @PathVariable UUID id,
      @ModelAttribute InsideForm form,
      Figures figures,
      Principal principal,
      Model model) {
    burns(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble number = form.number(problems, types.features(id).lastCylinder());
    if (!problems.none()) {
      return refused(id, form, problems, figures, model);
    }
    inside.write(
        id,
        new InsideSaid.PlugSeen((int) number.getAsDouble(), word(PlugLook.class, form.saw())),
        principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/inside/noted")
  String noted(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String check,
      @ModelAttribute InsideForm form,
      Principal principal) {
    NotedCheck noted = word(NotedCheck.class, Entry.text(check, 40));
    if (noted.burns()) {
      burns(id);
    } else {
      jobs.require(id);
    }
    Answer answer = noted.answer(form.saw()).orElseThrow(() -> new NotFound(form.saw()));
    inside.write(id, new InsideSaid.Noted(answer), principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/inside/fluids")
  String fluid(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String at,
      @ModelAttribute InsideForm form,
      Principal principal) {
    burns(id);
    FluidSeen seen =
        new FluidSeen(word(Fluid.class, Entry.text(at, 40)), word(Checked.Look.class, form.saw()));
    inside.write(id, new InsideSaid.FluidFound(seen), principal.getName());
    return back(id);
  }

  @PostMapping("/jobs/{id}/inside/hoses")
  Object hoses(
      @PathVariable UUID id,
      @ModelAttribute InsideForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    Optional<TwoTemperatures> taken = form.hoses(problems, figures);
    taken.ifPresent(t -> inside.write(id, new InsideSaid.HosesRead(t), principal.getName()));
    return taken.isPresent() ? back(id) : refused(id, form, problems, figures, model);
  }

  @PostMapping("/jobs/{id}/inside/hiss")
  Object hiss(
      @PathVariable UUID id,
      @ModelAttribute InsideForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble coolant = form.coolant(problems, figures);
    if (!problems.none()) {
      return refused(id, form, problems, figures, model);
    }
    inside.write(
        id,
        new InsideSaid.Heard(new Hissed(word(Hiss.class, form.saw()), coolant)),
        principal.getName());
    return back(id);
  }

  /** What burns nothing has no gas, no cylinders and no oil. */
  private void burns(UUID id) {
    jobs.require(id);
    if (types.features(id).drive() == Drive.ELECTRIC) {
      throw new NotFound("a check that an electric drive has");
    }
  }

  private static <E extends Enum<E> & Worded> E word(Class<E> choice, String word) {
    return Worded.of(choice, word).orElseThrow(() -> new NotFound(word));
  }

  private static String back(UUID id) {
    return "redirect:/jobs/" + id + "/inside";
  }

  private Object refused(
      UUID id, InsideForm form, FieldProblems problems, Figures figures, Model model) {
    return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
  }

  private String page(
      UUID id, InsideForm form, Map<String, String> problems, Figures figures, Model model) {
    Drive drive = types.features(id).drive();
    model.addAttribute("place", new JobPlace(id, Step.INSIDE, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("burns", drive != Drive.ELECTRIC);
    model.addAttribute(
        "colours", List.of(GasColour.BLUE.word(), GasColour.of(drive == Drive.DIESEL).word()));
    model.addAttribute("gasConditions", GAS_CONDITIONS.stream().map(Worded::word).toList());
    model.addAttribute("bubbleConditions", Worded.words(BubbleCondition.class));
    model.addAttribute("bubbles", Worded.words(Bubbles.class));
    model.addAttribute("fluids", fluids(id));
    model.addAttribute("hisses", Worded.words(Hiss.class));
    model.addAttribute("lines", inside.written(id).stream().map(f -> line(f, figures)).toList());
    model.addAttribute("plugs", Worded.words(PlugLook.class));
    model.addAttribute("noted", NotedCheck.of(drive != Drive.ELECTRIC));
    return "inside/inside";
  }

  /** A fluid with what it can look like. */
  record FluidAsked(String at, List<String> looks) {}

  private List<FluidAsked> fluids(UUID id) {
    List<FluidAsked> fluids = new ArrayList<>();
    for (Fluid fluid : Fluid.values()) {
      List<String> looks =
          switch (fluid) {
            case OIL_CAP, DIPSTICK -> List.of("clean", "pale-emulsion");
            case GEARBOX -> List.of("clean", "pink");
            case COOLANT_SURFACE -> List.of("clean", "oil-film", "pink");
          };
      fluids.add(new FluidAsked(fluid.word(), looks));
    }
    return fluids;
  }

  private FoundLine line(Finding<InsideSaid> f, Figures figures) {
    String when = Figures.timeOfDay(f.at()) + " " + f.by();
    return new FoundLine(
        f.id().toString(), says.about(f.said()) + ": " + says.say(f, figures) + " \u00b7 " + when);
  }
}
