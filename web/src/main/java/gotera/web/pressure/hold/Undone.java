package gotera.web.pressure.hold;

import gotera.pressure.trace.TraceEvent;
import gotera.web.figures.Figures;
import gotera.web.pressure.trace.Contents;
import gotera.web.pressure.trace.Kept;
import gotera.web.pressure.trace.KeptEvent;
import gotera.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Says what was undone: the last entry is not always the one that somebody has in mind. */
final class Undone {
  private Undone() {}

  /** What is not there any more, in words; empty where that is a whole file, or nothing. */
  static Optional<String> said(Contents before, Contents now, Figures figures, Words words) {
    Set<Double> left = now.readings().stream().map(Kept::seconds).collect(Collectors.toSet());
    List<Kept> gone = before.readings().stream().filter(r -> !left.contains(r.seconds())).toList();
    List<KeptEvent> events =
        before.events().stream().filter(e -> !now.events().contains(e)).toList();
    if (gone.size() + events.size() != 1) {
      return Optional.empty();
    }
    return Optional.of(
        gone.isEmpty()
            ? words.say("event." + events.get(0).event().kind().word())
            : words.say(
                "pressure.undone-reading",
                figures.pressure(gone.get(0).gauge()),
                Figures.minutesAndSeconds(gone.get(0).seconds() - origin(before))));
  }

  /** Where the time that is typed begins: when the valve was shut, else the beginning (s). */
  private static double origin(Contents of) {
    return of.trace().last(TraceEvent.Kind.VALVE_SHUT).map(TraceEvent::seconds).orElse(0.0);
  }
}
