package gotera.web.look;

import gotera.circuit.Circuit.Joint;
import gotera.look.LookState;
import gotera.look.VisualCheck;
import gotera.look.VisualCheck.Look;
import gotera.web.circuit.CircuitService;
import gotera.web.repair.RepairNote;
import gotera.web.repair.RepairService;
import gotera.web.words.Words;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** How far the looks of a job are, state by state, and what may be said of them. */
@Component
class VisualChecks {
  private final CircuitService circuits;
  private final RepairService repairs;
  private final Words words;
  private final Clock clock;

  VisualChecks(CircuitService circuits, RepairService repairs, Words words, Clock clock) {
    this.circuits = circuits;
    this.repairs = repairs;
    this.words = words;
    this.clock = clock;
  }

  /** The looks in one state. */
  VisualCheck of(UUID jobId, LookState state) {
    Set<String> places =
        circuits.circuit(jobId).joints().stream().map(Joint::code).collect(Collectors.toSet());
    List<Look> looks =
        circuits.looks(jobId).stream()
            .map(s -> new Look(s.joint(), s.state(), s.saw(), s.at()))
            .toList();
    Instant since =
        repairs.notes(jobId).stream()
            .map(RepairNote::at)
            .max(Instant::compareTo)
            .orElse(Instant.MIN);
    return VisualCheck.of(state, places, looks, since, clock.instant());
  }

  /** The state whose looks are farthest. */
  VisualCheck farthest(UUID jobId) {
    return Arrays.stream(LookState.values())
        .map(s -> of(jobId, s))
        .min(Comparator.comparingInt(VisualCheck::open))
        .orElseThrow();
  }

  String said(VisualCheck round) {
    String state = words.say("state-seen." + round.state().word());
    if (round.open() == round.places()) {
      return words.say("look.none", round.places(), state);
    }
    if (round.wet() + round.stained() > 0) {
      return words.say("look.found", round.wet(), round.stained(), round.open(), state);
    }
    if (round.open() > 0) {
      return words.say("look.dry-so-far", round.dry(), round.open(), state);
    }
    if (round.hidden() > 0) {
      return words.say("look.dry-but-hidden", round.hidden(), state);
    }
    return words.say(round.dryEverywhere() ? "look.dry-everywhere" : "look.dry-glance", state);
  }
}
