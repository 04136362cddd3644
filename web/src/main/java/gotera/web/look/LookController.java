package gotera.web.look;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.look.LookState;
import gotera.look.Sight;
import gotera.range.Range;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Vocabulary;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.circuit.Suspicion;
import gotera.web.circuit.UnderPressure;
import gotera.web.figures.Entry;
import gotera.web.figures.FieldProblems;
import gotera.web.figures.Figures;
import gotera.web.frame.NotFound;
import gotera.web.frame.Pages;
import gotera.web.job.JobPlace;
import gotera.web.job.JobService;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Looking over: one touch a place. */
@Controller
class LookController {
  private static final List<String> STATES = Worded.words(LookState.class);

  private final CircuitService circuits;
  private final CircuitWords names;
  private final VisualChecks rounds;
  private final List<Suspicion> suspicion;
  private final UnderPressure pressure;
  private final JobService jobs;
  private final Words words;

  LookController(
      CircuitService circuits,
      CircuitWords names,
      VisualChecks rounds,
      List<Suspicion> suspicion,
      UnderPressure pressure,
      JobService jobs,
      Words words) {
    this.pressure = pressure;
    this.circuits = circuits;
    this.names = names;
    this.rounds = rounds;
    this.suspicion = suspicion;
    this.jobs = jobs;
    this.words = words;
  }

  /** A place of the visual check. */
  record Place(String code, String name, String shows, String seen, String mark, String lookId) {}

  @GetMapping("/jobs/{id}/visual-check")
  String page(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String state,
      Figures figures,
      Model model) {
    return page(
        id,
        Worded.of(LookState.class, state).orElse(LookState.PARKED),
        "",
        Map.of(),
        figures,
        model);
  }

  private String page(
      UUID id,
      LookState state,
      String gauge,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    jobs.require(id);
    Circuit circuit = circuits.circuit(id);
    Map<String, LeakSite> seen = new HashMap<>();
    circuits.looks(id).stream()
        .filter(s -> s.state() == state)
        .forEach(s -> seen.put(s.joint(), s));
    Map<String, LeakSite> wetElsewhere = new HashMap<>();
    circuits.sites(id).stream()
        .filter(s -> s.wet() && s.state() != state)
        .forEach(s -> wetElsewhere.put(s.joint(), s));
    List<Joint> order = inOrder(id, circuit);
    model.addAttribute("place", new JobPlace(id, Step.VISUAL_CHECK, figures));
    model.addAttribute("state", state.word());
    model.addAttribute("gauge", gauge.isEmpty() ? lastGauge(id, figures) : gauge);
    model.addAttribute("problems", problems);
    model.addAttribute("states", STATES);
    model.addAttribute("above", places(circuit, order, seen, wetElsewhere, true));
    model.addAttribute("below", places(circuit, order, seen, wetElsewhere, false));
    model.addAttribute("said", rounds.said(rounds.of(id, state)));
    return "look/visual-check";
  }

  /** What the gauge of a test that runs showed last. */
  private String lastGauge(UUID id, Figures figures) {
    return pressure
        .left(id)
        .filter(p -> p.until().isEmpty())
        .map(p -> figures.pressureField(p.kilopascals()))
        .orElse("");
  }

  @PostMapping("/jobs/{id}/visual-check")
  Object look(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String state,
      @RequestParam(defaultValue = "") String gauge,
      @RequestParam(defaultValue = "") String look,
      Figures figures,
      Principal principal,
      Model model) {
    jobs.require(id);
    String[] parts = look.split(":", -1);
    Optional<Sight> saw = Worded.of(Sight.class, parts[parts.length - 1]);
    if (parts.length != 2 || circuits.circuit(id).joint(parts[0]).isEmpty() || saw.isEmpty()) {
      throw new NotFound("look " + look);
    }
    LookState then = Worded.of(LookState.class, state).orElse(LookState.PARKED);
    FieldProblems problems = new FieldProblems(words);
    OptionalDouble pressure =
        then == LookState.PRESSED
            ? problems.kilopascals("gauge", Entry.text(gauge, 40), figures.unit(), Range.PRESSED)
            : OptionalDouble.empty();
    if (!problems.none()) {
      return Pages.unprocessable(
          page(id, then, Entry.text(gauge, 40), problems.sentences(), figures, model), model);
    }
    circuits.log(
        id,
        new Looked(parts[0], then, saw.get(), pressure, OptionalDouble.empty()),
        principal.getName());
    return "redirect:/jobs/" + id + "/visual-check?state=" + then.word();
  }

  @PostMapping("/jobs/{id}/looks/{lookId}/withdraw")
  String withdraw(
      @PathVariable UUID id,
      @PathVariable UUID lookId,
      @RequestParam(defaultValue = "") String state,
      @RequestParam(defaultValue = "") String joint,
      Principal principal) {
    jobs.require(id);
    circuits.withdraw(id, lookId, principal.getName());
    boolean known = circuits.circuit(id).joint(joint).isPresent();
    return Worded.of(LookState.class, state).isPresent()
        ? "redirect:/jobs/" + id + "/visual-check?state=" + state
        : "redirect:/jobs/" + id + "/find" + (known ? "?joint=" + joint : "");
  }

  /** Likeliest and cheapest first: by probability a minute of looking. */
  private List<Joint> inOrder(UUID id, Circuit circuit) {
    Map<String, Double> suspected = new HashMap<>();
    suspicion.forEach(s -> suspected.putAll(s.suspected(id)));
    List<Joint> order = new ArrayList<>(circuit.joints());
    order.sort(
        Comparator.comparingDouble(
            (Joint j) ->
                -suspected.getOrDefault(j.code(), 0.0)
                    / Vocabulary.published().facts(j.code()).access().all()));
    return order;
  }

  private List<Place> places(
      Circuit circuit,
      List<Joint> order,
      Map<String, LeakSite> seen,
      Map<String, LeakSite> wetElsewhere,
      boolean above) {
    return order.stream()
        .filter(j -> j.isSeenFromAbove() == above)
        .map(
            j -> {
              Optional<LeakSite> site = Optional.ofNullable(seen.get(j.code()));
              String saw = site.map(w -> w.saw().word()).orElse("open");
              String said = words.say("saw." + saw);
              return new Place(
                  j.code(),
                  names.joint(circuit, j.code()),
                  words.say(
                      words.knows("shows." + j.code()) ? "shows." + j.code() : "shows.added.joint"),
                  site.map(s -> said + ", " + words.say("state-seen." + s.state().word()))
                          .orElse(said)
                      + elsewhere(wetElsewhere.get(j.code())),
                  saw,
                  site.map(s -> s.id().toString()).orElse(""));
            })
        .toList();
  }

  /** A place that was wet in another state says so here too. */
  private String elsewhere(@Nullable LeakSite wet) {
    return wet == null
        ? ""
        : words.say("look.wet-elsewhere", words.say("state-seen." + wet.state().word()));
  }
}
