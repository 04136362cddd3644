package gotera.web.shell;

import gotera.quantity.PressureUnit;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the frame of every page shows. */
@ControllerAdvice
class ShellAdvice {
  private final Clock clock;

  ShellAdvice(Clock clock) {
    this.clock = clock;
  }

  /** The frame: units to choose from, where we are, and the server's time for the clocks. */
  record Frame(List<UnitChoice> units, String path, long now) {}

  /** A unit of pressure that can be chosen. */
  record UnitChoice(String value, String symbol, boolean chosen) {}

  @ModelAttribute("frame")
  Frame frame(HttpServletRequest request) {
    PressureUnit chosen = FiguresResolver.of(request).unit();
    List<UnitChoice> units =
        java.util.Arrays.stream(PressureUnit.values())
            .map(u -> new UnitChoice(u.name().toLowerCase(Locale.ROOT), u.symbol(), u == chosen))
            .toList();
    boolean page = request.getMethod().equals("GET");
    return new Frame(units, page ? request.getRequestURI() : "/", clock.millis());
  }
}
