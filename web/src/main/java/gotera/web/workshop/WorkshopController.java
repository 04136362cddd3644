package gotera.web.workshop;

import gotera.suspects.ShopOdds;
import gotera.web.evidence.LearnedOdds;
import gotera.web.figures.Figures;
import gotera.web.figures.Table;
import gotera.web.words.Words;
import gotera.workshop.ShopFigures;
import gotera.workshop.ShopFigures.Count;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the workshop's jobs came to. */
@Controller
class WorkshopController {
  /** Bars of a plot (our judgement). */
  private static final int MOST_BARS = 12;

  private static final int WHOLE = 100;

  private final Visits visits;
  private final ChecksThatFound checks;
  private final LearnedOdds record;
  private final Words words;

  WorkshopController(Visits visits, ChecksThatFound checks, LearnedOdds record, Words words) {
    this.visits = visits;
    this.checks = checks;
    this.record = record;
    this.words = words;
  }

  /** A bar: its name, how long it is (%), and how often. */
  record Bar(String name, int length, int times) {}

  /** What was learned of a part. */
  record Odds(String part, String found, String expected, String factor) {}

  @GetMapping("/workshop")
  String page(Model model) {
    ShopFigures f = ShopFigures.of(visits.all());
    model.addAttribute("figures", f);
    model.addAttribute(
        "shareProven",
        f.repaired() == 0 ? "" : Figures.fixed(100.0 * f.proven() / f.repaired(), 0) + " %");
    model.addAttribute(
        "daysToProof",
        f.daysToProof().isPresent() ? Figures.fixed(f.daysToProof().getAsDouble(), 1) : "");
    model.addAttribute("places", bars(f.byPlace(), "joint."));
    model.addAttribute("types", bars(f.byType(), ""));
    model.addAttribute(
        "checks",
        checks.all().stream()
            .map(c -> words.say("workshop.check", named(c.word()), c.found(), c.done()))
            .toList());
    model.addAttribute("on", record.isOn());
    model.addAttribute("pseudo", ShopOdds.PSEUDO_JOBS);
    model.addAttribute("odds", odds(record.learned()));
    return "workshop/workshop";
  }

  @PostMapping("/workshop/odds")
  String odds(@RequestParam(defaultValue = "") String on) {
    record.switchTo(on.equals("true"));
    return "redirect:/workshop";
  }

  @GetMapping("/workshop.csv")
  ResponseEntity<String> csv() {
    Table table = new Table("vehicle", "engine_type", "begun", "closed", "proven", "repaired");
    visits
        .all()
        .forEach(
            v ->
                table.row(
                    List.of(
                        v.vehicle(),
                        v.type(),
                        v.begun().toString(),
                        v.closed().map(Object::toString).orElse(""),
                        Boolean.toString(v.proven()),
                        String.join(" ", v.repaired()))));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("workshop.csv").build().toString())
        .body(table.toString());
  }

  private String named(String check) {
    return check.startsWith("look.")
        ? words.say("workshop.look", words.say("state-seen." + check.substring("look.".length())))
        : words.say("check." + check);
  }

  private List<Bar> bars(List<Count> counts, String key) {
    int most = counts.stream().mapToInt(Count::times).max().orElse(1);
    return counts.stream()
        .limit(MOST_BARS)
        .map(
            c ->
                new Bar(
                    !key.isEmpty() && words.knows(key + c.what())
                        ? words.say(key + c.what())
                        : c.what(),
                    WHOLE * c.times() / most,
                    c.times()))
        .toList();
  }

  /** Parts whose odds move, those that move most first. */
  private List<Odds> odds(ShopOdds learned) {
    return learned.parts().entrySet().stream()
        .sorted(
            Comparator.comparing(
                (Map.Entry<String, ShopOdds.Part> e) -> -Math.abs(Math.log(e.getValue().factor()))))
        .limit(MOST_BARS)
        .map(
            e ->
                new Odds(
                    words.knows("part." + e.getKey())
                        ? words.say("part." + e.getKey())
                        : e.getKey(),
                    Integer.toString(e.getValue().found()),
                    Figures.twoDigits(e.getValue().expected()),
                    Figures.twoDigits(e.getValue().factor())))
        .toList();
  }
}
