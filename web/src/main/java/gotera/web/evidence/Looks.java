package gotera.web.evidence;

import gotera.web.circuit.LeakSite;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What was seen at the joints, as far as it counts: looks of different states count beside each
 * other, a newer one of the same state instead of an older one, and cleaning wipes what was seen
 * before.
 *
 * @param latest the last look at each joint
 * @param all every look that counts
 * @param since from when looks count
 */
record Looks(List<LeakSite> latest, List<LeakSite> all, Instant since) {
  /** Of all looks in order of time, those after a moment. */
  static Looks after(Instant since, List<LeakSite> inOrder) {
    Map<String, LeakSite> latest = new LinkedHashMap<>();
    Map<String, LeakSite> byState = new LinkedHashMap<>();
    for (LeakSite site : inOrder) {
      if (site.writtenAt().isAfter(since)) {
        latest.put(site.joint(), site);
        if (site.saw().equals("cleaned")) {
          byState.keySet().removeIf(k -> k.startsWith(site.joint() + " "));
        } else {
          byState.put(site.joint() + " " + site.state(), site);
        }
      }
    }
    return new Looks(List.copyOf(latest.values()), List.copyOf(byState.values()), since);
  }

  /** Whether only what was seen since a repair counts. */
  boolean afterRepair() {
    return !since.equals(Instant.MIN);
  }

  List<LeakSite> wet() {
    return latest.stream().filter(LeakSite::wet).toList();
  }

  /** Joints that cannot be seen as they are. */
  Set<String> hidden() {
    return latest.stream()
        .filter(s -> s.saw().equals("hidden"))
        .map(LeakSite::joint)
        .collect(Collectors.toSet());
  }
}
