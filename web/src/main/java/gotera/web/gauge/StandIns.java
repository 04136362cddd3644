package gotera.web.gauge;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Starts simulated gauges, each a process of its own that speaks to us as any gauge does. */
@Component
class StandIns {
  /** What the one that loses loses (mL/min); invented. */
  private static final String LEAK = "0.9";

  /** So many run at once at most: each is a process of this machine. */
  private static final int MOST = 12;

  private final StandInProperties properties;
  private final List<Process> running = new ArrayList<>();

  StandIns(StandInProperties properties) {
    this.properties = properties;
  }

  /** What a stand-in can be. */
  enum Kind {
    /** A system that holds. */
    TIGHT,
    /** One that loses. */
    LEAKS
  }

  boolean offered() {
    return properties.offered();
  }

  /**
   * Starts one that pairs itself by a code; false where as many run as may. It goes on when we end,
   * and ends when its hold does.
   */
  synchronized boolean start(Kind kind, String address, String code, double rated) {
    running.removeIf(p -> !p.isAlive());
    if (running.size() >= MOST) {
      return false;
    }
    List<String> command =
        List.of(
            properties.command(),
            "--address",
            address,
            "--code",
            code,
            "--rated",
            Double.toString(rated),
            "--leak",
            kind == Kind.LEAKS ? LEAK : "0");
    try {
      running.add(
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .redirectInput(ProcessBuilder.Redirect.from(new java.io.File("/dev/null")))
              .start());
      return true;
    } catch (IOException e) {
      throw new UncheckedIOException("a simulated gauge cannot be started", e);
    }
  }
}
