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

  /** A vehicle without any air would not be simulated (mL); invented. */
  private static final double LEAST_AIR = 10;

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
   *
   * @param rated pressure it is pumped to (kPa)
   * @param air what is trapped in the vehicle before anybody pumps (mL)
   */
  synchronized boolean start(Kind kind, String address, String code, double rated, double air) {
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
            "--air",
            Double.toString(Math.max(LEAST_AIR, air)),
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
