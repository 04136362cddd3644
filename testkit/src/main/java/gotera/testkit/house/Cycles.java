package gotera.testkit.house;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** Packages that ask each other in a circle. */
public final class Cycles {
  private Cycles() {}

  /** The packages that can be reached from themselves, in order of their names. */
  public static Set<String> of(Collection<SourceFile> files) {
    Map<String, Set<String>> asks = new TreeMap<>();
    for (SourceFile file : files) {
      Set<String> others = asks.computeIfAbsent(file.room(), r -> new TreeSet<>());
      file.asks().stream().filter(r -> !r.equals(file.room())).forEach(others::add);
    }
    Set<String> found = new TreeSet<>();
    for (String room : asks.keySet()) {
      if (reached(room, asks).contains(room)) {
        found.add(room);
      }
    }
    return found;
  }

  private static Set<String> reached(String room, Map<String, Set<String>> asks) {
    Set<String> reached = new TreeSet<>();
    Deque<String> open = new ArrayDeque<>(List.of(room));
    while (!open.isEmpty()) {
      for (String next : asks.getOrDefault(open.pop(), Set.of())) {
        if (reached.add(next)) {
          open.push(next);
        }
      }
    }
    return reached;
  }
}
