package gotera.web.report;

import gotera.look.Sight;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.LeakSite;
import gotera.web.evidence.SuspectsService;
import gotera.web.job.FoundBesides;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What was found in a job, as the report lists it. */
@Component
class FoundLines {
  private final CircuitService circuits;
  private final CircuitWords names;
  private final SuspectsService suspects;
  private final List<FoundBesides> besides;
  private final Words words;

  FoundLines(
      CircuitService circuits,
      CircuitWords names,
      SuspectsService suspects,
      List<FoundBesides> besides,
      Words words) {
    this.circuits = circuits;
    this.names = names;
    this.suspects = suspects;
    this.besides = besides;
    this.words = words;
  }

  List<String> of(UUID jobId) {
    List<String> found = new ArrayList<>();
    for (LeakSite site : circuits.looks(jobId)) {
      if (site.wet() || site.saw() == Sight.STAINED) {
        String line =
            words.say(
                "report.place",
                names.joint(jobId, site.joint()),
                words.say("saw." + site.saw().word()));
        found.add(site.note().isEmpty() ? line : line + " (" + site.note() + ")");
      }
    }
    suspects
        .claim(jobId)
        .filter(SuspectsService.Claim::found)
        .ifPresent(c -> found.add(words.say("report.claim", c.name(), c.percent())));
    found.addAll(suspects.meanings(jobId));
    besides.forEach(b -> found.addAll(b.found(jobId)));
    return found.stream().distinct().toList();
  }
}
