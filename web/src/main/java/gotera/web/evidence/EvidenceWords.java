package gotera.web.evidence;

import gotera.bubble.BubbleCondition;
import gotera.circuit.Circuit;
import gotera.combustion.NotCounted;
import gotera.evidence.Posterior.Reason;
import gotera.look.LookState;
import gotera.suspects.Action;
import gotera.suspects.Clue;
import gotera.suspects.Contradiction;
import gotera.suspects.Flag;
import gotera.suspects.Meaning;
import gotera.suspects.Proposal;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reasons, rules and proposals in words. */
@Component
class EvidenceWords {
  private final CircuitWords names;
  private final Words words;

  EvidenceWords(CircuitWords names, Words words) {
    this.names = names;
    this.words = words;
  }

  /** What speaks for a place, or against it; empty where nothing does. */
  String reasons(Circuit circuit, String place, List<Reason> reasons, boolean speaksFor) {
    return reasons.stream()
        .filter(r -> r.logRatio() > 0 == speaksFor)
        .map(r -> reason(circuit, place, (Clue) r.label()))
        .collect(Collectors.joining(" \u00b7 "));
  }

  private String reason(Circuit circuit, String place, Clue clue) {
    String key = "evidence." + clue.word();
    boolean here = clue.place().filter(place::equals).isPresent();
    return words.say(here ? key + ".here" : key, about(circuit, clue), state(clue.state()));
  }

  private String about(Circuit circuit, Clue clue) {
    return clue instanceof Clue.Drip drip
        ? words.say("drip-spot." + drip.spot().word())
        : clue.place().map(p -> names.joint(circuit, p)).orElse("");
  }

  private String state(Optional<LookState> state) {
    return state.map(s -> words.say("state-seen." + s.word())).orElse("");
  }

  /** What a finding means, and does not. */
  String meaning(Meaning meaning) {
    return words.say("meaning." + meaning.word());
  }

  /** Two entries that contradict each other, both by name. */
  String contradiction(Circuit circuit, Contradiction c) {
    return words.say(
        "contradiction." + c.kind().word(),
        reason(circuit, "", c.one()),
        reason(circuit, "", c.other()));
  }

  /** A rule that applies. */
  String flag(Flag flag) {
    return words.say(
        "flag." + flag.kind().word(),
        flag.unmet().isEmpty() ? flag.part() : conditions(flag.unmet()),
        Figures.plain(flag.weeksAgo()));
  }

  /** Conditions that were not met; those of a file may be in words of its own. */
  private String conditions(List<String> unmet) {
    return unmet.stream()
        .map(u -> condition(u).map(c -> words.say("unmet." + c.word())).orElse(u))
        .collect(Collectors.joining(", "));
  }

  private static Optional<? extends Worded> condition(String word) {
    Optional<NotCounted> gas = Worded.of(NotCounted.class, word);
    return gas.isPresent() ? gas : Worded.of(BubbleCondition.class, word);
  }

  /** What is proposed. */
  String name(Circuit circuit, Proposal proposal) {
    Action what = proposal.what();
    String kind =
        what instanceof Action.LookAtFluid look ? "fluid." + look.fluid().word() : what.word();
    return words.say(
        "evidence.next." + kind,
        what.place().map(p -> names.joint(circuit, p)).orElse(""),
        state(what.state()));
  }

  /** Its minutes with what comes first, and what it would settle. */
  String tells(Proposal proposal, double open) {
    List<String> said = new ArrayList<>();
    if (proposal.bits() > 0) {
      int share = open > 0 ? (int) Math.round(100 * proposal.bits() / open) : 0;
      said.add(words.say("evidence.next.tells", Figures.plain(proposal.minutes()), share));
    }
    if (!proposal.first().isEmpty()) {
      said.add(
          words.say(
              "evidence.next.first",
              proposal.first().stream()
                  .map(f -> words.say("evidence.first." + f.word()))
                  .collect(Collectors.joining(", "))));
    }
    said.add(words.say("evidence.why." + proposal.why().word()));
    return String.join(" \u00b7 ", said);
  }
}
