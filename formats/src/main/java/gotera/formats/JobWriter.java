package gotera.formats;

import gotera.circuit.Features;
import gotera.circuit.Features.Extra;
import gotera.look.LookState;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Blotted;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Replaced;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Observation.Sign;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a job; {@link JobJson} reads the same one back. */
public final class JobWriter {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private JobWriter() {}

  /** A job as its file. */
  public static String write(JobFile job) {
    ObjectNode n = MAPPER.createObjectNode();
    n.put("format", JobJson.FORMAT);
    vehicle(n.putObject("vehicle"), job);
    complaint(n.putObject("complaint"), job);
    ArrayNode findings = n.putArray("findings");
    for (Observation o : job.observed()) {
      if (!(o instanceof Sign) && !(o instanceof Replaced)) {
        finding(findings.addObject(), o);
      }
    }
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(n);
  }

  private static void vehicle(ObjectNode n, JobFile job) {
    Features f = job.features();
    n.put("energy", f.drive().word());
    ObjectNode circuit = n.putObject("circuit");
    circuit.put("fill", f.fill().word()).put("engine", f.engine().word());
    circuit.put("lie", f.orientation().word());
    ArrayNode features = circuit.putArray("features");
    for (Extra extra : Extra.values()) {
      if (f.has(extra)) {
        features.add(extra.word());
      }
    }
    if (!job.edits().isEmpty()) {
      ArrayNode edits = n.putArray("edits");
      job.edits().forEach(e -> CircuitEditJson.write(edits, e));
    }
    if (job.heaterValveShut()) {
      n.putObject("as_now").put("heater_valve", "shut");
    }
  }

  private static void complaint(ObjectNode n, JobFile job) {
    ArrayNode signs = n.putArray("signs");
    ArrayNode history = n.putArray("history");
    for (Observation o : job.observed()) {
      if (o instanceof Sign sign) {
        signs.add(sign.sign());
      } else if (o instanceof Replaced r) {
        history.addObject().put("part", r.part()).put("replaced_days_ago", r.daysAgo());
      }
    }
  }

  private static void finding(ObjectNode n, Observation o) {
    if (o instanceof Looked look) {
      n.put("check", "look").put("at", look.place()).put("state", look.state().word());
      n.put("saw", look.saw().word());
      look.gauge().ifPresent(kpa -> n.put("at_kpa", kpa));
      look.dropsPerMinute().ifPresent(drops -> n.put("drops_per_min", drops));
    } else if (o instanceof Dripped drip) {
      n.put("check", "drip").put("at", drip.spot().word());
      n.put("state", (drip.running() ? LookState.RUNNING : LookState.COLD).word());
    } else if (o instanceof Scanned scan) {
      n.put("check", "dye").put("at", scan.place()).put("saw", scan.glow().word());
    } else if (o instanceof Blotted blot) {
      n.put("check", "blot").put("at", blot.place()).put("saw", blot.damp() ? "damp" : "dry");
    } else if (o instanceof Held held) {
      HeldJson.write(n, held);
    } else if (o instanceof GasChecked gas) {
      n.put("check", "combustion-gas").put("result", gas.colour().word());
      ArrayNode failed = n.putArray("not_counted");
      gas.notCounted().forEach(failed::add);
    } else if (o instanceof Repaired) {
      n.put("check", "repair");
    } else {
      throw new IllegalArgumentException("a job has no words for " + o);
    }
  }
}
