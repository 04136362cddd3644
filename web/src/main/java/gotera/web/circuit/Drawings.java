package gotera.web.circuit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.DripTrace;
import gotera.drawing.CircuitDrawing;
import gotera.drawing.CircuitView;
import gotera.drawing.CircuitView.Glow;
import gotera.drawing.CircuitView.JointView;
import gotera.drawing.CircuitView.Mark;
import gotera.look.Sight;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Draws the circuit of a job with what is known of its joints. */
@Component
public class Drawings {
  /** Letters of drawings that are kept: some ten megabytes. */
  private static final long MOST_LETTERS = 10_000_000;

  private final CircuitService circuits;
  private final CircuitWords names;
  private final List<Suspicion> suspicion;
  private final Words words;
  private final Cache<Drawn, String> drawn =
      Caffeine.newBuilder()
          .maximumWeight(MOST_LETTERS)
          .weigher((Drawn d, String svg) -> svg.length())
          .build();

  Drawings(CircuitService circuits, CircuitWords names, List<Suspicion> suspicion, Words words) {
    this.circuits = circuits;
    this.names = names;
    this.suspicion = suspicion;
    this.words = words;
  }

  /** A drawing that was made: its words are those of its circuit, so what it shows tells it. */
  private record Drawn(CircuitView view, String address) {}

  /**
   * What a drawing shows besides what was seen.
   *
   * @param address address of a joint, before its code
   * @param chosen the joint being looked at
   * @param drips where it drips
   * @param still branches without flow
   * @param glow what the lamp showed, by joint
   * @param dark whether for the dark bay
   */
  public record Wanted(
      String address,
      Optional<String> chosen,
      Optional<DripTrace> drips,
      Set<Branch> still,
      Map<String, Glow> glow,
      boolean dark) {
    /** Only the circuit and what was seen. */
    public static Wanted plain(String address) {
      return new Wanted(address, Optional.empty(), Optional.empty(), Set.of(), Map.of(), false);
    }
  }

  /** Draws it. */
  public String of(UUID jobId, Circuit circuit, Wanted wanted) {
    Map<String, LeakSite> seen = new HashMap<>();
    circuits.sites(jobId).forEach(s -> seen.put(s.joint(), s));
    Map<String, Double> suspected = new HashMap<>();
    suspicion.forEach(s -> suspected.putAll(s.suspected(jobId)));
    Map<String, JointView> views = new HashMap<>();
    for (Joint joint : circuit.joints()) {
      String code = joint.code();
      views.put(
          code,
          view(
              names.joint(circuit, code),
              Optional.ofNullable(seen.get(code)),
              suspected.getOrDefault(code, 0.0),
              wanted.glow().getOrDefault(code, Glow.NONE)));
    }
    CircuitView view =
        new CircuitView(
            circuit, views, wanted.chosen(), wanted.drips(), wanted.still(), wanted.dark());
    return drawn.get(
        new Drawn(view, wanted.address()),
        d -> CircuitDrawing.of(d.view(), words(d.view().circuit(), d.address())));
  }

  private JointView view(String name, Optional<LeakSite> site, double suspicion, Glow glow) {
    String saw = site.map(s -> s.saw().word()).orElse("open");
    String label =
        site.flatMap(
                s ->
                    s.dropsPerMinute().stream()
                        .mapToObj(d -> words.say("find.label", name, Figures.plain(d)))
                        .findFirst())
            .orElse(name);
    StringBuilder spoken = new StringBuilder(name + ", " + words.say("saw." + saw));
    long percent = Math.round(100 * suspicion);
    if (percent > 0) {
      spoken.append(", ").append(words.say("find.suspected", percent));
    }
    if (glow != Glow.NONE) {
      spoken.append(", ").append(words.say("dye.glow." + glow.word()));
    }
    Mark mark = site.map(s -> mark(s.saw())).orElse(Mark.OPEN);
    return new JointView(mark, label, spoken.toString(), suspicion, glow);
  }

  private CircuitView.Words words(Circuit circuit, String address) {
    return new CircuitView.Words() {
      @Override
      public String name() {
        return words.say("find.drawing");
      }

      @Override
      public String part(String code) {
        return names.part(circuit, code);
      }

      @Override
      public String address(String joint) {
        return address + joint;
      }
    };
  }

  /** The mark: what was cleaned, or cannot be seen, is not looked at. */
  static Mark mark(Sight saw) {
    return switch (saw) {
      case WET, RUNS -> Mark.WET;
      case DRY -> Mark.DRY;
      case STAINED -> Mark.STAINED;
      case CLEANED, HIDDEN -> Mark.OPEN;
    };
  }
}
