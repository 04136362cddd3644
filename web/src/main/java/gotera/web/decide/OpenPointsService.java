package gotera.web.decide;

import gotera.circuit.Features.Drive;
import gotera.decide.OpenPoints;
import gotera.decide.OpenPoints.Untested;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.EngineTypeService;
import gotera.web.decide.QuoteService.QuoteLine;
import gotera.web.evidence.SuspectsService;
import gotera.web.fill.FillService;
import gotera.web.repair.OpenedJoints;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What a job leaves open: untested, cut out for now, or not decided. */
@Service
public class OpenPointsService {
  private final SuspectsService suspects;
  private final EngineTypeService types;
  private final OpenedJoints opened;
  private final CircuitWords names;
  private final QuoteService quotes;
  private final FillService fills;
  private final Words words;

  OpenPointsService(
      SuspectsService suspects,
      EngineTypeService types,
      OpenedJoints opened,
      CircuitWords names,
      QuoteService quotes,
      FillService fills,
      Words words) {
    this.suspects = suspects;
    this.types = types;
    this.opened = opened;
    this.names = names;
    this.quotes = quotes;
    this.fills = fills;
    this.words = words;
  }

  OpenPoints points(UUID jobId) {
    return OpenPoints.of(
        suspects.assess(jobId).job(),
        types.features(jobId).drive() != Drive.ELECTRIC,
        types.edits(jobId),
        opened.of(jobId));
  }

  /** Conditions under which nobody has tested, in words. */
  List<String> untested(UUID jobId) {
    return points(jobId).untested().stream().map(this::say).toList();
  }

  private String say(Untested condition) {
    return words.say("untested." + condition.word());
  }

  /** All of it in words. */
  public List<String> of(UUID jobId) {
    OpenPoints points = points(jobId);
    List<String> open = new ArrayList<>();
    points
        .loopedOff()
        .forEach(b -> open.add(words.say("open.looped-off", words.say("branch." + b))));
    for (QuoteLine line : quotes.lines(jobId)) {
      switch (line.decided().what()) {
        case OPEN -> open.add(words.say("open.undecided", line.what()));
        case PUT_OFF ->
            open.add(
                words.say(
                    "open.put-off",
                    line.what(),
                    line.decided().until().map(Object::toString).orElse("")));
        case ACCEPTED, REFUSED -> {}
      }
    }
    fills.weakened(jobId).ifPresent(open::add);
    points.unseen().forEach(j -> open.add(words.say("open.unseen", names.joint(jobId, j))));
    points.untested().forEach(u -> open.add(words.say("open.untested", say(u))));
    return open;
  }
}
