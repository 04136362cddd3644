package gotera.web.equipment;

import gotera.pressure.compliance.PlugCheck;
import gotera.web.figures.Conflict;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.Pages;
import gotera.web.words.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of the equipment, one piece of it, and the checks of a tester. */
@Controller
class EquipmentController {
  private final EquipmentService equipment;
  private final Words words;

  EquipmentController(EquipmentService equipment, Words words) {
    this.equipment = equipment;
    this.words = words;
  }

  /**
   * A row of the list.
   *
   * @param address its page
   * @param name its name
   * @param kind its kind
   * @param reads what it reads to
   * @param state what is due, in words
   * @param attention whether something is due
   */
  record Row(
      String address, String name, String kind, String reads, String state, boolean attention) {}

  @GetMapping("/equipment")
  String list(Model model) {
    model.addAttribute("rows", equipment.all().stream().map(this::row).toList());
    return "equipment/equipment";
  }

  @GetMapping("/equipment/new")
  String blank(@RequestParam(defaultValue = "tester") String kind, Model model) {
    return page(null, EquipmentForm.blank(kind), Map.of(), model);
  }

  @PostMapping("/equipment/new")
  Object add(@ModelAttribute EquipmentForm form, Figures figures, Model model) {
    FieldProblems problems = problems(form, null, figures);
    if (!problems.none()) {
      return Pages.unprocessable(page(null, form, problems.sentences(), model), model);
    }
    UUID id =
        equipment.add(
            form.kindChosen(), r -> form.into(r, new FieldProblems(words), figures.unit()));
    return "redirect:/equipment/" + id;
  }

  @GetMapping("/equipment/{id}")
  String one(@PathVariable UUID id, Figures figures, Model model) {
    return page(id, EquipmentForm.of(equipment.require(id), figures), Map.of(), model);
  }

  @PostMapping("/equipment/{id}")
  Object change(
      @PathVariable UUID id, @ModelAttribute EquipmentForm typed, Figures figures, Model model) {
    EquipmentForm form = typed;
    FieldProblems problems = problems(form, id, figures);
    if (problems.none()) {
      try {
        equipment.change(
            id, form.versionRead(), r -> typed.into(r, new FieldProblems(words), figures.unit()));
        return "redirect:/equipment";
      } catch (OptimisticLockingFailureException e) {
        EquipmentForm theirs = EquipmentForm.of(equipment.require(id), figures);
        problems.add("form", "problem.changed-meanwhile");
        model.addAttribute(
            "conflict", Conflict.between(form, theirs, Map.of("kind", "equipment."), words));
        form = form.withVersion(theirs.versionRead());
      }
    }
    return Pages.unprocessable(page(id, form, problems.sentences(), model), model);
  }

  /** Where a check was answered in place, its address leads back to the tester. */
  @GetMapping("/equipment/{id}/plug-checks")
  String reload(@PathVariable UUID id) {
    return "redirect:/equipment/" + id;
  }

  @PostMapping("/equipment/{id}/plug-checks")
  Object check(
      @PathVariable UUID id,
      @ModelAttribute PlugCheckForm form,
      Figures figures,
      Principal principal,
      Model model) {
    EquipmentView tester = equipment.require(id);
    FieldProblems problems = new FieldProblems(words);
    if (tester.kind() != EquipmentKind.TESTER || tester.airMl().isEmpty()) {
      problems.add("form", "problem.plug-check-tester");
      return Pages.unprocessable(
          page(id, EquipmentForm.of(tester, figures), problems.sentences(), model), model);
    }
    Optional<PlugCheck> check = form.read(problems, tester, equipment.today(), figures.unit());
    if (check.isEmpty()) {
      model.addAttribute("plug", form);
      return Pages.unprocessable(
          page(id, EquipmentForm.of(tester, figures), problems.sentences(), model), model);
    }
    equipment.check(id, check.get(), principal.getName());
    return "redirect:/equipment/" + id;
  }

  private FieldProblems problems(EquipmentForm form, @Nullable UUID id, Figures figures) {
    FieldProblems problems = new FieldProblems(words);
    form.into(new EquipmentRecord(UUID.randomUUID(), form.kindChosen()), problems, figures.unit());
    if (problems.none() && equipment.taken(form.name(), id)) {
      problems.add("name", "problem.equipment-taken", form.name());
    }
    return problems;
  }

  private String page(
      @Nullable UUID id, EquipmentForm form, Map<String, String> problems, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("kind", form.kindChosen());
    model.addAttribute("kinds", EquipmentKind.words());
    model.addAttribute("address", id == null ? "/equipment/new" : "/equipment/" + id);
    model.addAttribute("known", id != null);
    model.addAttribute("problems", problems);
    if (!model.containsAttribute("plug")) {
      model.addAttribute("plug", PlugCheckForm.EMPTY);
    }
    if (id != null) {
      equipment
          .require(id)
          .ownLeak()
          .ifPresent(
              l ->
                  model.addAttribute(
                      "ownLeak",
                      words.say(
                          "equipment.own-leak",
                          Figures.rate(l.rate(), l.u()),
                          Figures.halfWidth(l.u()),
                          Figures.moment(l.at()))));
    }
    return "equipment/piece";
  }

  private Row row(EquipmentView e) {
    List<String> state = new ArrayList<>();
    boolean due = !e.calibrated(equipment.today());
    if (e.retired()) {
      state.add(words.say("equipment.retired"));
    } else if (due) {
      state.add(words.say("equipment.due", e.calibrationDue().orElseThrow().toString()));
    } else {
      e.calibrationDue().ifPresent(d -> state.add(words.say("equipment.calibrated", d.toString())));
    }
    boolean unchecked =
        e.kind() == EquipmentKind.TESTER && !e.retired() && equipment.ownLeakToday(e).isEmpty();
    if (e.kind() == EquipmentKind.TESTER && !e.retired()) {
      state.add(
          equipment
              .ownLeakToday(e)
              .map(
                  l ->
                      words.say(
                          "equipment.own-leak-today",
                          Figures.rate(l.rate(), l.u()),
                          Figures.halfWidth(l.u())))
              .orElseGet(() -> words.say("equipment.unchecked")));
    }
    if (!e.fits().isEmpty()) {
      state.add(words.say("equipment.fits", e.fits()));
    }
    return new Row(
        "/equipment/" + e.id(),
        e.name(),
        words.say("equipment." + e.kind().word()),
        reads(e),
        String.join(" \u00b7 ", state),
        !e.retired() && (due || unchecked));
  }

  private static String reads(EquipmentView e) {
    if (e.resolution().isEmpty()) {
      return "";
    }
    String unit = e.kind() == EquipmentKind.THERMOMETER ? " K" : " kPa";
    return Figures.plain(e.resolution().getAsDouble()) + unit;
  }
}
