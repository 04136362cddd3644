package gotera.suspects;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.suspects.Observation.Looked;
import java.util.List;
import java.util.Set;

/**
 * How much of what shows outside was looked at in a state and found dry, weighed by how likely each
 * place is beforehand.
 */
record Outside(double dry) {
  /** From this share on it was looked at everywhere (our judgement, untested). */
  private static final double EVERYWHERE = 0.8;

  static Outside of(Case job, LookState state, Set<String> without) {
    Set<String> hidden = job.hidden();
    List<PlaceFacts> shows =
        job.places().stream()
            .filter(p -> !p.inside() && !hidden.contains(p.place()))
            .filter(p -> p.kind() != PlaceKind.ELSEWHERE && !without.contains(p.place()))
            .filter(p -> p.seen().in(state) > SEEN)
            .toList();
    List<String> dry =
        job.looks().stream()
            .filter(l -> l.state() == state && l.saw() == Sight.DRY)
            .map(Looked::place)
            .toList();
    double all = shows.stream().mapToDouble(PlaceFacts::prior).sum();
    double found =
        shows.stream()
            .filter(p -> dry.contains(p.place()) || alongDry(p.place(), dry))
            .mapToDouble(PlaceFacts::prior)
            .sum();
    return new Outside(all > 0 ? found / all : 0);
  }

  /** What a look seldom shows is no part of it (1) (our judgement, untested). */
  private static final double SEEN = 0.25;

  /** A hose or a wall whose ends or joints were dry was seen with them. */
  private static boolean alongDry(String place, List<String> dry) {
    boolean whole = place.endsWith(".along") || place.endsWith(".body") || place.endsWith(".tank");
    return whole && dry.stream().anyMatch(d -> d.startsWith(Case.part(place) + "."));
  }

  /** Whether it was looked at everywhere. */
  boolean everywhere() {
    return dry >= EVERYWHERE;
  }
}
