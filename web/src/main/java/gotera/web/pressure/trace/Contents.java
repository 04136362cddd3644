package gotera.web.pressure.trace;

import gotera.pressure.trace.Trace;
import java.util.List;

/** What a test holds that counts, in order of time. */
public record Contents(List<Kept> readings, List<KeptEvent> events) {
  public Trace trace() {
    Trace.Builder trace = Trace.builder();
    double last = Double.NEGATIVE_INFINITY;
    for (Kept r : readings) {
      if (r.seconds() > last) {
        trace.reading(r.seconds(), r.gauge(), r.celsius());
        last = r.seconds();
      }
    }
    events.forEach(e -> trace.event(e.event()));
    return trace.build();
  }
}
