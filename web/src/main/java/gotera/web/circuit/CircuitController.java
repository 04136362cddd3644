package gotera.web.circuit;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.circuit.EngineTypeService.EngineType;
import gotera.web.circuit.EngineTypeService.Made;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.job.Step;
import gotera.web.shell.FieldProblems;
import gotera.web.shell.Figures;
import gotera.web.shell.Identifiers;
import gotera.web.shell.NotFound;
import gotera.web.shell.Pages;
import gotera.web.shell.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The circuit of a vehicle: its engine type, what differs on it, and the changes of the shop. */
@Controller
class CircuitController {
  private final EngineTypeService types;
  private final Drawings drawings;
  private final CircuitWords names;
  private final JobService jobs;
  private final Identifiers identifiers;
  private final Words words;

  CircuitController(
      EngineTypeService types,
      Drawings drawings,
      CircuitWords names,
      JobService jobs,
      Identifiers identifiers,
      Words words) {
    this.types = types;
    this.drawings = drawings;
    this.names = names;
    this.jobs = jobs;
    this.identifiers = identifiers;
    this.words = words;
  }

  /** Something to choose. */
  record Choice(String value, String text) {}

  /** A change that can be taken back. */
  record Change(String id, String text, boolean ofVehicle) {}

  @GetMapping("/jobs/{id}/circuit")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String preset,
      Figures figures,
      Model model) {
    Optional<EngineType> type = types.of(id);
    CircuitForm form =
        CircuitForm.of(
            type.map(EngineType::name).orElse(""),
            types.features(id),
            type.map(EngineType::version).orElse(0));
    Optional<Features> begun = CircuitPresets.of(preset).map(CircuitPresets.Preset::features);
    if (begun.isPresent()) {
      form = CircuitForm.of("", begun.get(), 0);
    }
    model.addAttribute("begun", begun.isPresent());
    return page(id, form, EditForm.none(), Map.of(), figures, model);
  }

  @PostMapping("/jobs/{id}/circuit")
  Object build(
      @PathVariable UUID id,
      @ModelAttribute CircuitForm form,
      Figures figures,
      Principal principal,
      Model model) {
    JobView job = jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    form.check(problems, job.vehicle().isPresent());
    if (problems.none()) {
      try {
        nameVehicle(job, form.vehicle());
        types.build(id, form.typeName(), form.features(), form.version(), principal.getName());
        return "redirect:/jobs/" + id + "/circuit";
      } catch (OptimisticLockingFailureException e) {
        problems.add("typeName", "problem.type-changed", form.typeName());
      }
    }
    model.addAttribute("begun", true);
    int theirs = types.version(form.typeName());
    return Pages.unprocessable(
        page(id, form.withVersion(theirs), EditForm.none(), problems.sentences(), figures, model),
        model);
  }

  private void nameVehicle(JobView job, String vehicle) {
    if (job.vehicle().isEmpty()) {
      jobs.nameVehicle(job.id(), vehicle);
    }
  }

  @PostMapping("/jobs/{id}/circuit/type")
  Object choose(
      @PathVariable UUID id,
      @RequestParam UUID type,
      @RequestParam(defaultValue = "") String vehicle,
      Figures figures,
      Model model) {
    JobView job = jobs.require(id);
    if (job.vehicle().isEmpty() && vehicle.isBlank()) {
      FieldProblems problems = new FieldProblems(words);
      problems.add("known-vehicle", "problem.vehicle");
      CircuitForm form = CircuitForm.of("", types.features(id), 0);
      return Pages.unprocessable(
          page(id, form, EditForm.none(), problems.sentences(), figures, model), model);
    }
    nameVehicle(job, vehicle.strip());
    types.choose(id, type);
    return "redirect:/jobs/" + id + "/circuit";
  }

  @PostMapping("/jobs/{id}/circuit/edits")
  Object edit(
      @PathVariable UUID id,
      @ModelAttribute EditForm form,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    FieldProblems problems = new FieldProblems(words);
    if (types.of(id).isEmpty()) {
      problems.add("form", "problem.no-type");
    }
    Optional<CircuitEdit> edit = form.read(problems, identifiers.next());
    if (problems.none()) {
      CircuitEdit meant = edit.orElseThrow(() -> new NotFound("edit " + form.kind()));
      types
          .edit(id, meant, principal.getName())
          .ifPresent(p -> problems.add(form.kind() + "-name", "problem.edit-" + word(p)));
      if (problems.none()) {
        return "redirect:/jobs/" + id + "/circuit";
      }
    }
    Optional<EngineType> type = types.of(id);
    CircuitForm built =
        CircuitForm.of(
            type.map(EngineType::name).orElse(""),
            types.features(id),
            type.map(EngineType::version).orElse(0));
    return Pages.unprocessable(page(id, built, form, problems.sentences(), figures, model), model);
  }

  @PostMapping("/jobs/{id}/circuit/edits/{editId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID editId, Principal principal) {
    jobs.require(id);
    types.withdraw(id, editId, principal.getName());
    return "redirect:/jobs/" + id + "/circuit";
  }

  @GetMapping("/jobs/{id}/circuit.svg")
  ResponseEntity<String> svg(@PathVariable UUID id) {
    String drawing =
        drawings
            .of(id, types.asNow(id), Wanted.plain("#"))
            .replaceFirst("<svg ", "<svg width=\"1000\" height=\"600\" ")
            .replaceFirst(">", "><style>" + SvgStyle.TEXT + "</style>");
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("image/svg+xml;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("circuit.svg").build().toString())
        .body(drawing);
  }

  private String page(
      UUID id,
      CircuitForm form,
      EditForm edit,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    JobView job = jobs.require(id);
    Circuit now = types.asNow(id);
    boolean begun = Boolean.TRUE.equals(model.getAttribute("begun"));
    model.addAttribute("begun", begun);
    Circuit shown = begun ? CircuitBuilder.of(form.features()) : now;
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("edit", edit);
    model.addAttribute("problems", problems);
    model.addAttribute("named", job.vehicle().isPresent());
    model.addAttribute("vehicles", jobs.vehicleNames());
    model.addAttribute("type", types.of(id).orElse(null));
    model.addAttribute("types", types.all());
    model.addAttribute(
        "presets", CircuitPresets.all().stream().map(p -> choice("preset.", p.code())).toList());
    model.addAttribute("drives", choices("drive.", Features.Drive.values()));
    model.addAttribute("fills", choices("fill.", Features.Fill.values()));
    model.addAttribute("engines", choices("engine.", Features.Engine.values()));
    model.addAttribute("lies", choices("lie.", Features.Lie.values()));
    model.addAttribute("extras", choices("extra.", Features.Extra.values()));
    model.addAttribute("spots", choices("spot.", CircuitEdit.Spot.values()));
    model.addAttribute("regions", choices("region.", CircuitEdit.Region.values()));
    model.addAttribute("fastenings", choices("fastening.", Fastening.values()));
    model.addAttribute(
        "parts",
        now.parts().stream().map(p -> new Choice(p.code(), names.part(now, p.code()))).toList());
    model.addAttribute(
        "joints",
        now.joints().stream().map(j -> new Choice(j.code(), names.joint(now, j.code()))).toList());
    model.addAttribute("loopable", loopable(now));
    model.addAttribute("changes", changes(id, now));
    model.addAttribute(
        "drawing", drawings.of(id, shown, Wanted.plain("/jobs/" + id + "/find?joint=")));
    model.addAttribute(
        "size", words.say("circuit.size", shown.joints().size(), shown.parts().size()));
    return "circuit/circuit";
  }

  private Choice choice(String kind, String value) {
    return new Choice(value, words.say(kind + value));
  }

  private List<Choice> choices(String kind, Enum<?>[] values) {
    return Arrays.stream(values).map(v -> choice(kind, word(v))).toList();
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Branches of this circuit that can be cut out and are not yet. */
  private List<Choice> loopable(Circuit circuit) {
    List<Choice> branches = new ArrayList<>();
    for (Branch branch : Branch.values()) {
      if (branch.canBeLoopedOff()
          && circuit.joints().stream().anyMatch(j -> j.branch() == branch)) {
        branches.add(choice("branch.", branch.word()));
      }
    }
    return branches;
  }

  private List<Change> changes(UUID id, Circuit circuit) {
    return types.made(id).stream()
        .map(m -> new Change(m.id().toString(), said(circuit, m), m.ofVehicle()))
        .toList();
  }

  private String said(Circuit circuit, Made made) {
    CircuitEdit edit = made.edit();
    String kind =
        edit.getClass()
            .getSimpleName()
            .replaceAll("([a-z])([A-Z])", "$1-$2")
            .toLowerCase(Locale.ROOT);
    String what =
        edit instanceof CircuitEdit.LoopOff
            ? words.say("branch." + edit.subject())
            : circuit.part(edit.subject()).isPresent() || kind.endsWith("-part")
                ? names.part(circuit, edit.subject())
                : names.joint(circuit, edit.subject());
    String name =
        edit instanceof CircuitEdit.Rename r
            ? r.name()
            : edit instanceof CircuitEdit.AddJoint a
                ? a.name()
                : edit instanceof CircuitEdit.AddPart p ? p.name() : what;
    return words.say("edit." + kind, what, name) + " (" + made.by() + ")";
  }
}
