package gotera.web.pressure.hold;

import gotera.pressure.trace.Trace;
import gotera.web.figures.Figures;
import gotera.web.pressure.Caught;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.hold.PressurePage.Pad;
import gotera.web.pressure.hold.PressurePage.Row;
import gotera.web.pressure.trace.Contents;
import gotera.web.pressure.trace.Kept;
import gotera.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** Lists what a test holds: readings, events, catches. */
@Component
class Rows {
  private static final int MOST_ROWS = 40;

  private final Words words;

  Rows(Words words) {
    this.words = words;
  }

  /** What the buttons would enter. */
  static Pad pad(PressureTestView test, Figures figures) {
    Trace trace = test.trace();
    if (trace.size() == 0) {
      return new Pad(false, "", "", "", test.readingMode().equals("needle"));
    }
    double last = trace.gauge(trace.size() - 1);
    double step = test.conditions().gauge().resolution();
    return new Pad(
        true,
        figures.pressure(last),
        figures.pressure(last - step),
        figures.pressure(last - 2 * step),
        test.readingMode().equals("needle"));
  }

  /** The readings from a time on, or the last ones. */
  static List<Row> table(
      PressureTestView test, Contents contents, OptionalDouble from, Figures figures) {
    List<Kept> kept = contents.readings();
    int begin = Math.max(0, kept.size() - MOST_ROWS);
    if (from.isPresent()) {
      begin = 0;
      while (begin < kept.size()
          && kept.get(begin).seconds() - test.origin() < from.getAsDouble() - 0.5) {
        begin++;
      }
    }
    List<Row> rows = new ArrayList<>();
    for (Kept r : kept.subList(begin, Math.min(kept.size(), begin + MOST_ROWS))) {
      boolean warm = !Double.isNaN(r.celsius());
      rows.add(
          0,
          new Row(
              r.block() + "/" + r.index(),
              Figures.minutesAndSeconds(r.seconds() - test.origin()),
              figures.pressure(r.gauge()),
              warm ? figures.temperature(r.celsius(), 1) : "",
              Figures.full(r.seconds() - test.origin()) + " s",
              figures.pressureField(r.gauge()),
              warm ? figures.temperatureField(r.celsius()) : ""));
    }
    return rows;
  }

  /** What was done. */
  List<PressurePage.EventRow> events(PressureTestView test, Contents contents) {
    return contents.events().stream()
        .limit(MOST_ROWS)
        .map(
            e ->
                new PressurePage.EventRow(
                    e.id().toString(),
                    Figures.minutesAndSeconds(e.event().seconds() - test.origin()),
                    words.say("event." + e.event().kind().word())))
        .toList();
  }

  /** What was caught during a test, in words. */
  List<PressurePage.CaughtRow> catches(List<Caught> all, Figures figures) {
    return all.stream()
        .map(
            c ->
                new PressurePage.CaughtRow(
                    c.id().map(Object::toString).orElse(""), caught(c, figures)))
        .toList();
  }

  private String caught(Caught c, Figures figures) {
    return c.minutes().isEmpty()
        ? words.say("caught.stood", c.place(), figures.volume(c.millilitres()))
        : words.say(
            "caught.gathered",
            c.place(),
            figures.volume(c.millilitres()),
            Figures.plain(c.minutes().getAsDouble()),
            Figures.twoDigits(c.millilitres() / c.minutes().getAsDouble()));
  }
}
