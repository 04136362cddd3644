package gotera.web.pressure.live;

import gotera.pressure.Signal;
import gotera.web.figures.Figures;
import gotera.web.frame.Watch;
import gotera.web.pressure.Readings;
import gotera.web.pressure.RunningTest;
import gotera.web.pressure.live.LiveFeed.Open;
import java.time.Duration;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells pages that are read from afar what the gauge shows, as soon as it is stored. */
@Component
class LiveFeed extends Watch<Open> {
  /** How often it is asked. */
  private static final Duration EVERY = Duration.ofMillis(250);

  private final JdbcTemplate database;
  private final Readings readings;

  LiveFeed(JdbcTemplate database, Readings readings) {
    super("live feed", EVERY);
    this.database = database;
    this.readings = readings;
  }

  /** An open page: its test, how it writes figures, and the block it knows of. */
  static final class Open {
    private final UUID test;
    private final Figures figures;
    private int block = -1;

    Open(UUID test, Figures figures) {
      this.test = test;
      this.figures = figures;
    }
  }

  SseEmitter watch(UUID test, Figures figures) {
    return listen(new Open(test, figures));
  }

  @Override
  protected void look(List<Page<Open>> now) {
    Map<UUID, Integer> blocks = blocks(now);
    Map<UUID, RunningTest> read = new HashMap<>();
    for (Page<Open> page : now) {
      Open open = page.what();
      Integer block = blocks.get(open.test);
      if (block != null && block != open.block) {
        open.block = block;
        RunningTest test = read.computeIfAbsent(open.test, readings::running);
        if (test.lastGauge().isPresent()) {
          tell(page, said(test, open.figures));
        }
      }
    }
  }

  private static String said(RunningTest test, Figures figures) {
    double gauge = test.lastGauge().getAsDouble();
    boolean above = Signal.above(gauge, test.limit().pressure().kilopascals(), test.gaugeStep());
    return "{\"gauge\":\""
        + figures.pressureFigure(gauge)
        + "\",\"signals\":\""
        + (above ? Signal.ABOVE_LIMIT.word() : "")
        + "\"}";
  }

  private Map<UUID, Integer> blocks(List<Page<Open>> of) {
    List<String> tests = of.stream().map(p -> p.what().test.toString()).distinct().toList();
    String marks = String.join(",", Collections.nCopies(tests.size(), "?"));
    Map<UUID, Integer> blocks = new HashMap<>();
    database.query(
        "select pressure_test_id, max(seq) from trace_block where pressure_test_id in ("
            + marks
            + ") group by pressure_test_id",
        row -> {
          blocks.put(UUID.fromString(row.getString(1)), row.getInt(2));
        },
        tests.toArray());
    return blocks;
  }
}
