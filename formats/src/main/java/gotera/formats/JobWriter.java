package gotera.formats;

import gotera.balance.SiteFlow;
import gotera.circuit.Features;
import gotera.circuit.Features.Extra;
import gotera.standing.Happened;
import gotera.suspects.AsNow;
import gotera.suspects.Checked;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Blotted;
import gotera.suspects.Observation.Dripped;
import gotera.suspects.Observation.GasChecked;
import gotera.suspects.Observation.Held;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Repaired;
import gotera.suspects.Observation.Scanned;
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
    ComplaintJson.write(n.putObject("complaint"), job.observed());
    ArrayNode findings = n.putArray("findings");
    for (Happened<Observation> o : job.visit().observed()) {
      if (!ComplaintJson.is(o.what())) {
        ObjectNode f = findings.addObject();
        finding(f, o.what());
        ProofJson.write(f, o.at());
      }
    }
    ProofJson.write(n, job.visit());
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(n);
  }

  private static void vehicle(ObjectNode n, JobFile job) {
    Features f = job.features();
    n.put("energy", f.drive().word());
    ObjectNode circuit = n.putObject("circuit");
    circuit.put("fill", f.fill().word()).put("engine", f.engine().word());
    f.cylinders().ifPresent(count -> circuit.put("cylinders", count));
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
    if (!job.now().equals(AsNow.OPEN)) {
      ObjectNode now = n.putObject("as_now");
      BranchesJson.write(now, "cut_off", job.now().cutOff());
      now.put("heater_valve", job.now().heaterValveShut() ? "shut" : "open");
    }
  }

  private static void flow(ObjectNode n, SiteFlow flow) {
    if (flow instanceof SiteFlow.Drops drops) {
      n.put("drops_per_min", drops.perMinute());
    } else {
      n.put("ml_per_min", flow.rate().millilitresPerMinute());
      flow.ownU().ifPresent(u -> n.put("u", u));
    }
  }

  private static void finding(ObjectNode n, Observation o) {
    if (o instanceof Looked look) {
      n.put("check", "look").put("at", look.place()).put("state", look.state().word());
      n.put("saw", look.saw().word());
      look.gauge().ifPresent(kpa -> n.put("at_kpa", kpa));
      look.counted().ifPresent(flow -> flow(n, flow));
      if (look.driedBefore()) {
        n.put("dried_before", true);
      }
      if (!look.removed().isEmpty()) {
        n.put("removed", look.removed());
      }
    } else if (o instanceof Dripped drip) {
      n.put("check", "drip").put("at", drip.spot().word());
      n.put("state", drip.state().word());
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
    } else if (o instanceof Checked checked) {
      CheckedJson.write(n, checked);
    } else if (o instanceof Repaired repaired) {
      n.put("check", "repair");
      if (!repaired.place().isEmpty()) {
        n.put("at", repaired.place());
      }
    } else {
      throw new IllegalArgumentException("a job has no words for " + o);
    }
  }
}
