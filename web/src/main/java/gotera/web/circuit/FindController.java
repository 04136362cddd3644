package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.drawing.CircuitDrawing;
import gotera.drawing.CircuitDrawing.JointView;
import gotera.drawing.CircuitDrawing.Mark;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.Step;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import java.io.IOException;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
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

/** The circuit with its joints: what was seen where. */
@Controller
class FindController {
  private final CircuitService circuits;
  private final JobService jobs;
  private final Words words;

  FindController(CircuitService circuits, JobService jobs, Words words) {
    this.circuits = circuits;
    this.jobs = jobs;
    this.words = words;
  }

  /** A joint in the list beside the drawing. */
  record ListedJoint(
      String code, String name, String address, String mark, String seen, boolean chosen) {}

  /** The joint being looked at. */
  record ChosenJoint(
      String code,
      String name,
      String fastening,
      String shows,
      Optional<String> lastSeen,
      Optional<String> photo) {}

  @GetMapping("/jobs/{id}/find")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String joint,
      Figures figures,
      Model model) {
    jobs.require(id);
    return page(id, new FindForm(joint, "", "", "", ""), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/find")
  Object log(
      @PathVariable UUID id,
      @ModelAttribute FindForm form,
      @RequestParam(required = false) @Nullable MultipartFile photo,
      Figures figures,
      Principal principal,
      Model model)
      throws IOException {
    jobs.require(id);
    if (circuits.circuit().joint(form.joint()).isEmpty() || !FindForm.SEEN.contains(form.saw())) {
      throw new NotFound("joint " + form.joint() + ", " + form.saw());
    }
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble drops = form.dropsPerMinute(problems);
    OptionalDouble pressure = form.kilopascals(problems, figures);
    Optional<Photograph> photograph = photograph(problems, photo);
    if (!problems.none()) {
      return Pages.unprocessable(page(id, form, problems.sentences(), figures, model), model);
    }
    circuits.log(
        id,
        form.joint(),
        form.saw(),
        drops,
        pressure,
        form.note(),
        photograph,
        principal.getName());
    return "redirect:/jobs/" + id + "/find?joint=" + form.joint();
  }

  private static Optional<Photograph> photograph(
      FieldProblems problems, @Nullable MultipartFile photo) throws IOException {
    if (photo == null || photo.isEmpty()) {
      return Optional.empty();
    }
    Photograph.Outcome outcome =
        photo.getSize() > Photograph.MOST_BYTES
            ? Photograph.Outcome.of(Photograph.Problem.TOO_LARGE)
            : Photograph.read(photo.getBytes());
    outcome
        .problem()
        .ifPresent(
            p ->
                problems.add(
                    "photo",
                    "problem.photo-" + p.name().toLowerCase(Locale.ROOT).replace('_', '-')));
    return outcome.photograph();
  }

  private String page(
      UUID id, FindForm form, Map<String, String> problems, Figures figures, Model model) {
    Circuit circuit = circuits.circuit();
    Map<String, LeakSite> seen = new HashMap<>();
    circuits.sites(id).forEach(s -> seen.put(s.joint(), s));
    Optional<Joint> chosen = circuit.joint(form.joint());
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("unit", figures.unit().symbol());
    model.addAttribute("drawing", drawing(id, circuit, seen, chosen));
    model.addAttribute("joints", list(id, circuit, seen, chosen, figures));
    model.addAttribute("looked", words.say("find.looked", seen.size(), circuit.joints().size()));
    model.addAttribute(
        "chosen", chosen.map(j -> chosen(j, seen.get(j.code()), figures)).orElse(null));
    return "circuit/find";
  }

  private String drawing(
      UUID id, Circuit circuit, Map<String, LeakSite> seen, Optional<Joint> chosen) {
    Map<String, JointView> views = new HashMap<>();
    for (Joint joint : circuit.joints()) {
      LeakSite site = seen.get(joint.code());
      String name = words.say("joint." + joint.code());
      String label =
          site != null && site.dropsPerMinute().isPresent()
              ? words.say("find.label", name, Figures.plain(site.dropsPerMinute().getAsDouble()))
              : name;
      views.put(
          joint.code(),
          new JointView(mark(site), label, name + ", " + words.say("saw." + markWord(site))));
    }
    return CircuitDrawing.of(
        circuit,
        views,
        chosen.map(Joint::code),
        words.say("find.drawing"),
        code -> words.say("part." + code),
        code -> "/jobs/" + id + "/find?joint=" + code);
  }

  private List<ListedJoint> list(
      UUID id,
      Circuit circuit,
      Map<String, LeakSite> seen,
      Optional<Joint> chosen,
      Figures figures) {
    List<ListedJoint> list = new ArrayList<>();
    for (Joint joint : circuit.joints()) {
      LeakSite site = seen.get(joint.code());
      list.add(
          new ListedJoint(
              joint.code(),
              words.say("joint." + joint.code()),
              "/jobs/" + id + "/find?joint=" + joint.code(),
              markWord(site),
              site == null ? words.say("saw.open") : summary(site, figures),
              chosen.filter(joint::equals).isPresent()));
    }
    return list;
  }

  private ChosenJoint chosen(Joint joint, @Nullable LeakSite site, Figures figures) {
    return new ChosenJoint(
        joint.code(),
        words.say("joint." + joint.code()),
        words.say("fastening." + joint.fastening()),
        words.say("shows." + joint.code()),
        site == null
            ? Optional.empty()
            : Optional.of(
                words.say(
                        "find.last",
                        summary(site, figures),
                        Figures.timeOfDay(site.writtenAt()),
                        site.writtenBy())
                    + (site.note().isEmpty() ? "" : " \u201c" + site.note() + "\u201d")),
        Optional.ofNullable(site).flatMap(LeakSite::photo).map(photo -> "/photos/" + photo));
  }

  private String summary(LeakSite site, Figures figures) {
    StringBuilder text = new StringBuilder(words.say("saw." + site.saw()));
    site.dropsPerMinute()
        .ifPresent(d -> text.append(", ").append(words.say("find.drops", Figures.plain(d))));
    site.pressureKpa()
        .ifPresent(p -> text.append(", ").append(words.say("find.at", figures.pressure(p))));
    return text.toString();
  }

  private static Mark mark(@Nullable LeakSite site) {
    return Mark.valueOf(markWord(site).toUpperCase(Locale.ROOT));
  }

  private static String markWord(@Nullable LeakSite site) {
    return site == null ? "open" : site.saw();
  }
}
