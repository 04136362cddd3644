package gotera.web.look;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.evidence.PlaceFacts;
import gotera.formats.Vocabulary;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.circuit.Suspicion;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.job.Step;
import gotera.web.shell.Entry;
import gotera.web.shell.Figures;
import gotera.web.shell.NotFound;
import gotera.web.shell.Words;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Looking over: one touch a place. */
@Controller
class LookController {
  private static final List<String> STATES = List.of("parked", "cold", "warm", "running");
  private static final List<String> SEEN = List.of("dry", "wet", "stained", "hidden");

  /** Joints above this height are looked at from above (sheet units; our judgement, untested). */
  private static final double FROM_ABOVE = 330;

  private final CircuitService circuits;
  private final CircuitWords names;
  private final WalkRounds rounds;
  private final List<Suspicion> suspicion;
  private final JobService jobs;
  private final Words words;

  LookController(
      CircuitService circuits,
      CircuitWords names,
      WalkRounds rounds,
      List<Suspicion> suspicion,
      JobService jobs,
      Words words) {
    this.circuits = circuits;
    this.names = names;
    this.rounds = rounds;
    this.suspicion = suspicion;
    this.jobs = jobs;
    this.words = words;
  }

  /** A place of the walk-round. */
  record Place(String code, String name, String shows, String seen, String mark) {}

  @GetMapping("/jobs/{id}/look-over")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String state,
      Figures figures,
      Model model) {
    jobs.require(id);
    Circuit circuit = circuits.circuit(id);
    Map<String, LeakSite> seen = new HashMap<>();
    circuits.sites(id).forEach(s -> seen.put(s.joint(), s));
    List<Joint> order = inOrder(id, circuit);
    model.addAttribute("place", new JobPlace(id, Step.LOOK_OVER, figures));
    model.addAttribute("state", Entry.choice(state, STATES));
    model.addAttribute("states", STATES);
    model.addAttribute("above", places(circuit, order, seen, true));
    model.addAttribute("below", places(circuit, order, seen, false));
    model.addAttribute("said", rounds.said(rounds.of(id)));
    return "look/look-over";
  }

  @PostMapping("/jobs/{id}/look-over")
  String look(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String state,
      @RequestParam(defaultValue = "") String look,
      Principal principal) {
    jobs.require(id);
    String[] parts = look.split(":", -1);
    if (parts.length != 2
        || circuits.circuit(id).joint(parts[0]).isEmpty()
        || !SEEN.contains(parts[1])) {
      throw new NotFound("look " + look);
    }
    String then = Entry.choice(state, STATES);
    circuits.log(
        id,
        parts[0],
        parts[1],
        then,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        "",
        Optional.empty(),
        principal.getName());
    return "redirect:/jobs/" + id + "/look-over?state=" + then;
  }

  /** Likeliest and cheapest first: by probability a minute of looking. */
  private List<Joint> inOrder(UUID id, Circuit circuit) {
    Map<String, Double> suspected = new HashMap<>();
    suspicion.forEach(s -> suspected.putAll(s.suspected(id)));
    List<Joint> order = new ArrayList<>(circuit.joints());
    order.sort(
        Comparator.comparingDouble(
            (Joint j) -> -suspected.getOrDefault(j.code(), 0.0) / minutes(j.code())));
    return order;
  }

  private static double minutes(String joint) {
    return Vocabulary.published()
        .place(joint)
        .or(() -> Vocabulary.published().place("added.joint"))
        .map(PlaceFacts::minutes)
        .orElse(1.0);
  }

  private List<Place> places(
      Circuit circuit, List<Joint> order, Map<String, LeakSite> seen, boolean above) {
    return order.stream()
        .filter(j -> j.at().y() < FROM_ABOVE == above)
        .map(
            j -> {
              Optional<LeakSite> site = Optional.ofNullable(seen.get(j.code()));
              String saw = site.map(LeakSite::saw).orElse("open");
              String said = words.say("saw." + saw);
              return new Place(
                  j.code(),
                  names.joint(circuit, j.code()),
                  words.say(
                      words.knows("shows." + j.code()) ? "shows." + j.code() : "shows.added.joint"),
                  site.map(s -> said + ", " + words.say("state-seen." + s.state())).orElse(said),
                  saw);
            })
        .toList();
  }
}
