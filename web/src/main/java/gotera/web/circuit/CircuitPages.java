package gotera.web.circuit;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.CircuitBuilder;
import gotera.circuit.CircuitEdit;
import gotera.circuit.CircuitPresets;
import gotera.circuit.Fastening;
import gotera.circuit.Features;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.circuit.EngineTypeService.Made;
import gotera.web.figures.Figures;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the page of a circuit shows. */
@Component
class CircuitPages {
  private final EngineTypeService types;
  private final Drawings drawings;
  private final CircuitWords names;
  private final RenewedPlaces renewed;
  private final JobService jobs;
  private final Words words;

  CircuitPages(
      EngineTypeService types,
      Drawings drawings,
      CircuitWords names,
      RenewedPlaces renewed,
      JobService jobs,
      Words words) {
    this.renewed = renewed;
    this.types = types;
    this.drawings = drawings;
    this.names = names;
    this.jobs = jobs;
    this.words = words;
  }

  /** Something to choose. */
  record Choice(String value, String text) {}

  /** A change that can be taken back. */
  record Change(String id, String text, boolean ofVehicle) {}

  /** What is new on this vehicle, with its date. */
  private List<String> renewed(UUID id, Circuit now) {
    return renewed.renewed(id).stream()
        .filter(r -> now.joint(r.joint()).isPresent())
        .map(
            r ->
                words.say(
                    "circuit.renewed",
                    names.joint(now, r.joint()),
                    Figures.moment(r.at()),
                    r.note()))
        .toList();
  }

  /**
   * The page.
   *
   * @param form features as chosen
   * @param begun whether they are being chosen: then their circuit is drawn, else the vehicle's
   * @param edit a change as typed
   */
  String page(
      UUID id,
      CircuitForm form,
      boolean begun,
      EditForm edit,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    Circuit now = types.asNow(id);
    Circuit shown = begun ? CircuitBuilder.of(form.features()) : now;
    model.addAttribute("place", new JobPlace(id, Step.CIRCUIT, figures));
    model.addAttribute("form", form);
    model.addAttribute("begun", begun);
    model.addAttribute("edit", edit);
    model.addAttribute("problems", problems);
    model.addAttribute("named", jobs.require(id).vehicle().isPresent());
    model.addAttribute("vehicles", jobs.vehicleNames());
    model.addAttribute("type", types.of(id).orElse(null));
    model.addAttribute("types", types.all());
    model.addAttribute("renewed", renewed(id, now));
    model.addAttribute("loopable", loopable(now));
    model.addAttribute("changes", changes(id, now));
    model.addAttribute(
        "drawing", drawings.of(id, shown, Wanted.plain("/jobs/" + id + "/find?joint=")));
    model.addAttribute(
        "size", words.say("circuit.size", shown.joints().size(), shown.parts().size()));
    features(model);
    places(now, model);
    return "circuit/circuit";
  }

  private void features(Model model) {
    model.addAttribute(
        "presets", CircuitPresets.all().stream().map(p -> choice("preset.", p.code())).toList());
    model.addAttribute("drives", choices("drive.", Features.Drive.values()));
    model.addAttribute("fills", choices("fill.", Features.Fill.values()));
    model.addAttribute("engines", choices("engine.", Features.Engine.values()));
    model.addAttribute("orientations", choices("orientation.", Features.Orientation.values()));
    model.addAttribute("extras", choices("extra.", Features.Extra.values()));
  }

  private void places(Circuit circuit, Model model) {
    model.addAttribute("spots", choices("spot.", CircuitEdit.Spot.values()));
    model.addAttribute("regions", choices("region.", CircuitEdit.Region.values()));
    model.addAttribute("fastenings", choices("fastening.", Fastening.values()));
    model.addAttribute(
        "parts",
        circuit.parts().stream()
            .map(p -> new Choice(p.code(), names.part(circuit, p.code())))
            .toList());
    model.addAttribute(
        "joints",
        circuit.joints().stream()
            .map(j -> new Choice(j.code(), names.joint(circuit, j.code())))
            .toList());
  }

  private Choice choice(String kind, String value) {
    return new Choice(value, words.say(kind + value));
  }

  private List<Choice> choices(String kind, Worded[] values) {
    return Arrays.stream(values).map(v -> choice(kind, v.word())).toList();
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
