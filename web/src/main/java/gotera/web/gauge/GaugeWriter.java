package gotera.web.gauge;

import gotera.web.gauge.GaugeService.Known;
import gotera.web.pressure.WritesByItself;
import gotera.web.words.Words;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the pages of a test which gauge writes into it. */
@Component
class GaugeWriter implements WritesByItself {
  private final GaugeService gauges;
  private final Words words;

  GaugeWriter(GaugeService gauges, Words words) {
    this.gauges = gauges;
    this.words = words;
  }

  @Override
  public Optional<Writer> at(UUID testId) {
    return gauges.at(testId).map(g -> new Writer(g.name(), g.simulated(), state(g), g.silent()));
  }

  /** How a gauge is, in words. */
  String state(Known g) {
    String heard =
        g.heard().isEmpty()
            ? words.say("gauge.never")
            : words.say(g.silent() ? "gauge.silent" : "gauge.writes");
    String missing = g.missing() > 0 ? " " + words.say("gauge.missing", g.missing()) : "";
    String lost = g.lost() > 0 ? " " + words.say("gauge.lost", g.lost()) : "";
    String notKept = g.notKept() > 0 ? " " + words.say("gauge.not-kept", g.notKept()) : "";
    String notShown = g.notShown() > 0 ? " " + words.say("gauge.not-shown", g.notShown()) : "";
    return heard + missing + lost + notKept + notShown;
  }
}
