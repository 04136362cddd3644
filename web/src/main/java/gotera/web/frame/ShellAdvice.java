package gotera.web.frame;

import gotera.quantity.PressureUnit;
import gotera.web.figures.Figures;
import gotera.web.figures.FiguresResolver;
import gotera.web.kept.Mark;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Locale;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the frame of every page shows. */
@ControllerAdvice
class ShellAdvice {
  private final String version;

  ShellAdvice(ObjectProvider<BuildProperties> build) {
    // a build by hand may lack the description of itself
    this.version = build.stream().map(BuildProperties::getVersion).findFirst().orElse("");
  }

  /**
   * The frame of a page.
   *
   * @param units units of pressure to choose from
   * @param unit the unit of pressure chosen
   * @param volumes the unit of volume chosen, several of it
   * @param degrees the unit of temperature chosen
   * @param path where we are
   * @param now where the server's time stands, for the clocks (ms)
   * @param account who is signed in
   * @param leads whether it is a lead
   * @param readsOnly whether it measures nothing
   * @param version the version, for the foot
   */
  record Frame(
      List<UnitChoice> units,
      String unit,
      String volumes,
      String degrees,
      String path,
      String now,
      String account,
      boolean leads,
      boolean readsOnly,
      String version) {}

  /** A unit of pressure that can be chosen. */
  record UnitChoice(String value, String symbol, boolean chosen) {}

  @ModelAttribute("frame")
  Frame frame(HttpServletRequest request) {
    Figures figures = FiguresResolver.of(request);
    List<UnitChoice> units =
        java.util.Arrays.stream(PressureUnit.values())
            .map(
                u ->
                    new UnitChoice(
                        u.name().toLowerCase(Locale.ROOT), u.symbol(), u == figures.unit()))
            .toList();
    boolean page = request.getMethod().equals("GET");
    return new Frame(
        units,
        figures.unit().symbol(),
        figures.units().volume().words(),
        figures.units().temperature().symbol(),
        page ? request.getRequestURI() : "/",
        Mark.NOW.text(),
        request.getRemoteUser() == null ? "" : request.getRemoteUser(),
        request.isUserInRole("LEAD"),
        request.isUserInRole("SERVICE_DESK"),
        version);
  }
}
