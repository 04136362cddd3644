package gotera.web.floor;

import gotera.web.floor.FloorWatch.Seen;
import gotera.web.frame.Watch;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells the pages that show the floor that something on it is otherwise. */
@Component
class FloorWatch extends Watch<Seen> {
  /** How often it is asked (our judgement): seen within a second. */
  private static final Duration EVERY = Duration.ofMillis(500);

  private final FloorRows rows;
  private final Expected expected;
  private final Clock clock;

  FloorWatch(FloorRows rows, Expected expected, Clock clock) {
    super("floor watch", EVERY);
    this.rows = rows;
    this.expected = expected;
    this.clock = clock;
  }

  /** What a page was told last. */
  static final class Seen {
    private String state;

    Seen(String state) {
      this.state = state;
    }
  }

  /** What the floor is now; a page that was made before anything came since is told at once. */
  String state() {
    return rows.state() + " " + expected.news();
  }

  SseEmitter watch() {
    return listen(new Seen(""));
  }

  @Override
  protected void look(List<Page<Seen>> now) {
    String state = state();
    for (Page<Seen> page : now) {
      if (!state.equals(page.what().state)) {
        page.what().state = state;
        tell(page, Long.toString(clock.millis()));
      }
    }
  }
}
