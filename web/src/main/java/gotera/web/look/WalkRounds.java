package gotera.web.look;

import gotera.look.WalkRound;
import gotera.look.WalkRound.Seen;
import gotera.web.circuit.CircuitService;
import gotera.web.shell.Words;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** How far the walk-round of a job is, and what may be said of it. */
@Component
class WalkRounds {
  private final CircuitService circuits;
  private final Words words;

  WalkRounds(CircuitService circuits, Words words) {
    this.circuits = circuits;
    this.words = words;
  }

  WalkRound of(UUID jobId) {
    return WalkRound.of(
        circuits.circuit(jobId).joints().size(),
        circuits.sites(jobId).stream()
            .map(s -> Seen.valueOf(s.saw().toUpperCase(Locale.ROOT)))
            .toList());
  }

  String said(WalkRound round) {
    if (round.open() == round.places()) {
      return words.say("look.none", round.places());
    }
    if (round.wet() + round.stained() > 0) {
      return words.say("look.found", round.wet(), round.stained(), round.open());
    }
    if (round.open() > 0) {
      return words.say(
          "look.dry-so-far", round.places() - round.open() - round.hidden(), round.open());
    }
    return words.say(
        round.dryEverywhere() ? "look.dry-everywhere" : "look.dry-but-hidden", round.hidden());
  }
}
