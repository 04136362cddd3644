package gotera.web.circuit;

import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Features;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.circuit.EngineTypeService.EngineType;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.frame.PrintStyle;
import gotera.web.job.JobService;
import gotera.web.job.JobView;
import gotera.web.storage.Identifiers;
import gotera.web.words.Words;
import java.security.Principal;
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
  /** Version of a type that is not written yet: a known name is noticed. */
  private static final int NEW = -1;

  private final EngineTypeService types;
  private final Drawings drawings;
  private final PrintStyle print;
  private final CircuitPages pages;
  private final JobService jobs;
  private final Identifiers identifiers;
  private final Words words;

  CircuitController(
      EngineTypeService types,
      Drawings drawings,
      PrintStyle print,
      CircuitPages pages,
      JobService jobs,
      Identifiers identifiers,
      Words words) {
    this.types = types;
    this.drawings = drawings;
    this.print = print;
    this.pages = pages;
    this.jobs = jobs;
    this.identifiers = identifiers;
    this.words = words;
  }

  @GetMapping("/jobs/{id}/circuit")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String preset,
      Figures figures,
      Model model) {
    Optional<Features> begun = CircuitPresets.of(preset).map(CircuitPresets.Preset::features);
    CircuitForm form = begun.map(f -> CircuitForm.of("", f, NEW)).orElseGet(() -> written(id));
    return pages.page(id, form, begun.isPresent(), EditForm.none(), Map.of(), figures, model);
  }

  /** The engine type of a job's vehicle as it is written. */
  private CircuitForm written(UUID id) {
    Optional<EngineType> type = types.of(id);
    return CircuitForm.of(
        type.map(EngineType::name).orElse(""),
        types.features(id),
        type.map(EngineType::version).orElse(NEW));
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
    unlike(problems, "vehicle", job, form.vehicle());
    if (problems.none()) {
      try {
        nameVehicle(job, form.vehicle());
        types.build(id, form.typeName(), form.features(), form.version(), principal.getName());
        return "redirect:/jobs/" + id + "/circuit";
      } catch (OptimisticLockingFailureException e) {
        problems.add("typeName", "problem.type-changed", form.typeName());
      }
    }
    CircuitForm again = form.withVersion(types.version(form.typeName()));
    return Pages.unprocessable(
        pages.page(id, again, true, EditForm.none(), problems.sentences(), figures, model), model);
  }

  /** A name that only looks like another vehicle's is not taken here. */
  private void unlike(FieldProblems problems, String field, JobView job, String vehicle) {
    if (job.vehicle().isEmpty() && problems.none()) {
      jobs.alike(vehicle).stream()
          .findFirst()
          .ifPresent(other -> problems.add(field, "problem.vehicle-alike-here", other));
    }
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
    FieldProblems problems = new FieldProblems(words);
    if (job.vehicle().isEmpty() && vehicle.isBlank()) {
      problems.add("known-vehicle", "problem.vehicle");
    }
    unlike(problems, "known-vehicle", job, vehicle.strip());
    if (!problems.none()) {
      return Pages.unprocessable(
          pages.page(id, written(id), false, EditForm.none(), problems.sentences(), figures, model),
          model);
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
          .ifPresent(p -> problems.add(form.kind() + "-name", "problem.edit-" + p.word()));
      if (problems.none()) {
        return "redirect:/jobs/" + id + "/circuit";
      }
    }
    return Pages.unprocessable(
        pages.page(id, written(id), false, form, problems.sentences(), figures, model), model);
  }

  @PostMapping("/jobs/{id}/circuit/edits/{editId}/withdraw")
  String withdraw(@PathVariable UUID id, @PathVariable UUID editId, Principal principal) {
    jobs.require(id);
    types.withdraw(id, editId, principal.getName());
    return "redirect:/jobs/" + id + "/circuit";
  }

  @GetMapping("/jobs/{id}/circuit.svg")
  ResponseEntity<String> svg(@PathVariable UUID id) {
    String drawing = print.alone(drawings.of(id, types.asNow(id), Wanted.plain("#")), 1000, 600);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("image/svg+xml;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("circuit.svg").build().toString())
        .body(drawing);
  }
}
