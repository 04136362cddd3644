package gotera.web.look;

import gotera.circuit.Circuit;
import gotera.web.circuit.LeakSite;
import gotera.web.shell.Words;
import java.util.Collection;

/**
 * What the walk-round may claim: "dry everywhere" only once every place that can be seen was looked
 * at.
 *
 * @param places places of the circuit
 * @param open places nobody has looked at
 * @param hidden places that cannot be seen as they are
 * @param wet wet places
 * @param stained stained places
 */
record WalkRound(int places, int open, int hidden, int wet, int stained) {
  static WalkRound of(Circuit circuit, Collection<LeakSite> sites) {
    int looked = 0;
    int hidden = 0;
    int wet = 0;
    int stained = 0;
    for (LeakSite site : sites) {
      looked += site.looked() ? 1 : 0;
      hidden += site.saw().equals("hidden") ? 1 : 0;
      wet += site.wet() ? 1 : 0;
      stained += site.saw().equals("stained") ? 1 : 0;
    }
    int places = circuit.joints().size();
    return new WalkRound(places, places - looked - hidden, hidden, wet, stained);
  }

  String said(Words words) {
    if (open == places) {
      return words.say("look.none", places);
    }
    if (wet + stained > 0) {
      return words.say("look.found", wet, stained, open);
    }
    if (open > 0) {
      return words.say("look.dry-so-far", places - open - hidden, open);
    }
    return words.say(hidden > 0 ? "look.dry-but-hidden" : "look.dry-everywhere", hidden);
  }
}
