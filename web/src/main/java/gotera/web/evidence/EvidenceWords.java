package gotera.web.evidence;

import gotera.circuit.Circuit;
import gotera.evidence.Label;
import gotera.evidence.Posterior.Reason;
import gotera.suspects.Flag;
import gotera.suspects.Meaning;
import gotera.suspects.Proposal;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Figures;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
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
        .map(r -> reason(circuit, place, r.finding()))
        .collect(Collectors.joining(" \u00b7 "));
  }

  private String reason(Circuit circuit, String place, Label finding) {
    String here = "evidence." + finding.kind() + ".here";
    boolean own = finding.at().equals(place) && words.knows(here);
    return words.say(
        own ? here : "evidence." + finding.kind(), about(circuit, finding), state(finding));
  }

  private String about(Circuit circuit, Label finding) {
    if (finding.at().isEmpty()) {
      return "";
    }
    String spot = "drip-spot." + finding.at();
    return words.knows(spot) ? words.say(spot) : names.joint(circuit, finding.at());
  }

  private String state(Label finding) {
    return finding.state().isEmpty() ? "" : words.say("state-seen." + finding.state());
  }

  /** What a finding means, and does not. */
  String meaning(Meaning meaning) {
    return words.say("meaning." + meaning.word());
  }

  /** A rule that applies. */
  String flag(Flag flag) {
    return words.say(
        "flag." + flag.kind().word(), condition(flag.about()), Figures.plain(flag.weeksAgo()));
  }

  /** Conditions that were not met, in words where the page has them. */
  private String condition(String about) {
    List<String> said = new ArrayList<>();
    for (String part : about.split(",", -1)) {
      String key = "unmet." + part.strip();
      said.add(words.knows(key) ? words.say(key) : part.strip());
    }
    return String.join(", ", said);
  }

  /** What is proposed. */
  String name(Circuit circuit, Proposal proposal) {
    Label what = proposal.what();
    String kind = what.kind().equals("fluid") ? "fluid." + what.at() : what.kind();
    return words.say("evidence.next." + kind, about(circuit, what), state(what));
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
