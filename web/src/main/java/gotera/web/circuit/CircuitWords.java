package gotera.web.circuit;

import gotera.circuit.Circuit;
import gotera.web.words.Words;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What parts and joints are called: by the shop's own name, else by the word of the trade. */
@Component
public class CircuitWords {
  private final EngineTypeService types;
  private final Words words;

  CircuitWords(EngineTypeService types, Words words) {
    this.types = types;
    this.words = words;
  }

  /**
   * The name of a joint on a job's vehicle; also of places that are not on its circuit any more.
   */
  public String joint(UUID jobId, String code) {
    return joint(types.asNow(jobId), code);
  }

  /** The name of a joint. */
  public String joint(Circuit circuit, String code) {
    return name(circuit, "joint.", code);
  }

  /** The name of a part or line. */
  public String part(Circuit circuit, String code) {
    return name(circuit, "part.", code);
  }

  /** How a joint usually shows itself. */
  String shows(String code) {
    return words.say(words.knows("shows." + code) ? "shows." + code : "shows.added.joint");
  }

  private String name(Circuit circuit, String kind, String code) {
    return Optional.ofNullable(circuit.names().get(code))
        .orElseGet(() -> words.say(words.knows(kind + code) ? kind + code : "joint.added.joint"));
  }
}
