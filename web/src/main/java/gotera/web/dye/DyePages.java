package gotera.web.dye;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.drawing.CircuitView;
import gotera.dye.Dye;
import gotera.dye.Glow;
import gotera.said.DyeSaid;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.Drawings;
import gotera.web.figures.Figures;
import gotera.web.finding.FindingWords;
import gotera.web.job.JobPlace;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the page of dye and lamp shows. */
@Component
class DyePages {

  private final DyeService dye;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final Drawings drawings;
  private final FindingWords says;
  private final Words words;

  DyePages(
      DyeService dye,
      CircuitService circuits,
      CircuitWords names,
      Drawings drawings,
      FindingWords says,
      Words words) {
    this.says = says;
    this.dye = dye;
    this.circuits = circuits;
    this.names = names;
    this.drawings = drawings;
    this.words = words;
  }

  /** A joint in the list. */
  record Scanned(String name, String address, String glow, String mark, boolean chosen) {}

  /** The page. */
  String page(
      UUID id,
      DyeForm form,
      boolean dark,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    Circuit circuit = circuits.circuit(id);
    Dye known = dye.known(id, circuit);
    Optional<Joint> chosen = circuit.joint(form.joint());
    String address = "/jobs/" + id + "/dye?" + (dark ? "dark=true&" : "") + "joint=";
    model.addAttribute("place", new JobPlace(id, gotera.work.Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    model.addAttribute("dark", dark);
    model.addAttribute("known", known);
    model.addAttribute("compatibles", DyeForm.COMPATIBLE);
    model.addAttribute("steps", steps(id, circuit));
    model.addAttribute("said", said(circuit, known));
    model.addAttribute("chosen", chosen.map(j -> names.joint(circuit, j.code())).orElse(null));
    model.addAttribute(
        "drawing", drawings.of(id, circuit, wanted(known, circuit, chosen, address, dark)));
    model.addAttribute(
        "joints",
        circuit.joints().stream()
            .map(j -> listed(circuit, known, j, address, form.joint()))
            .toList());
    return "dye/dye";
  }

  private static Drawings.Wanted wanted(
      Dye known, Circuit circuit, Optional<Joint> chosen, String address, boolean dark) {
    Map<String, CircuitView.Glow> glow = new HashMap<>();
    known
        .glows()
        .forEach(
            (joint, g) ->
                glow.put(joint, g.counts() ? CircuitView.Glow.NEW : CircuitView.Glow.OLD));
    Set<Branch> still =
        known.dosed().isPresent() ? known.unreached(circuit) : EnumSet.noneOf(Branch.class);
    return new Drawings.Wanted(
        address, chosen.map(Joint::code), Optional.empty(), still, glow, dark);
  }

  /** A step that can be taken back. */
  record Step(String id, String at, String what) {}

  private List<Step> steps(UUID id, Circuit circuit) {
    return dye.steps(id).stream()
        .map(f -> new Step(f.id().toString(), Figures.moment(f.at()), what(f.said(), circuit)))
        .toList();
  }

  private String what(DyeSaid step, Circuit circuit) {
    String saw = says.saw(step);
    if (step instanceof DyeSaid.Dosed dosed) {
      return saw + ", " + words.say("dye.subject." + dosed.match().word());
    }
    return step instanceof DyeSaid.Scanned scanned
        ? names.joint(circuit, scanned.joint()) + ", " + saw
        : saw;
  }

  /** What has been done and what it is worth, in sentences. */
  private List<String> said(Circuit circuit, Dye known) {
    List<String> said = new ArrayList<>();
    if (known.dosed().isEmpty()) {
      said.add(words.say(known.scannedBefore() ? "dye.said.before" : "dye.said.first"));
      return said;
    }
    if (!known.scannedBefore()) {
      said.add(words.say("dye.said.not-before"));
    }
    if (known.run() <= 0) {
      said.add(words.say("dye.said.not-run"));
      return said;
    }
    Set<Branch> still = known.unreached(circuit);
    String where =
        still.stream()
            .map(b -> words.say("branch." + b.word()))
            .sorted()
            .collect(Collectors.joining(", "));
    said.add(
        still.isEmpty()
            ? words.say("dye.said.everywhere", Figures.plain(known.run()))
            : words.say("dye.said.not-reached", Figures.plain(known.run()), where));
    glowing(circuit, known, said);
    return said;
  }

  private void glowing(Circuit circuit, Dye known, List<String> said) {
    for (Glow glow : List.of(Glow.NEW_GLOW, Glow.GROWN, Glow.UNSCANNED, Glow.UNCHANGED)) {
      String places =
          known.glows().entrySet().stream()
              .filter(e -> e.getValue() == glow)
              .map(e -> names.joint(circuit, e.getKey()))
              .sorted()
              .collect(Collectors.joining("; "));
      if (!places.isEmpty()) {
        said.add(words.say("dye.said." + glow.word(), places));
      }
    }
  }

  private Scanned listed(Circuit circuit, Dye known, Joint joint, String address, String chosen) {
    Glow glow = known.glows().get(joint.code());
    String said =
        glow != null
            ? words.say("dye.glows." + glow.word())
            : known.dark().contains(joint.code())
                ? words.say(
                    known.reached().contains(joint.branch()) ? "dye.dark" : "dye.dark-unreached")
                : words.say("dye.not-scanned");
    return new Scanned(
        names.joint(circuit, joint.code()),
        address + joint.code(),
        said,
        glow != null && glow.counts() ? "wet" : glow != null ? "stained" : "open",
        joint.code().equals(chosen));
  }
}
