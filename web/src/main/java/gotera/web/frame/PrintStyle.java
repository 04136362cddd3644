package gotera.web.frame;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The style of drawings that leave the application: the screen's rules with colours put in. */
@Component
public class PrintStyle {
  private static final String GROUND = ".ground{fill:#fcfaf4}svg{font-family:sans-serif}";

  /**
   * Readers that know no ring of paper around a name get a plate under it where it is over a hose.
   */
  private static final String PLATES = ".name-plate{fill:#fff;fill-opacity:.85}";

  private final String rules;

  PrintStyle() throws IOException {
    rules = new ClassPathResource("print/drawing.css").getContentAsString(StandardCharsets.UTF_8);
  }

  /** A drawing within a page that is printed. */
  public String within(String drawing) {
    return drawing.replaceFirst(
        ">", "><style>" + Matcher.quoteReplacement(rules + PLATES) + "</style>");
  }

  /** A drawing that stands alone: with its size, its style, and a ground of its own. */
  public String alone(String drawing, int width, int height) {
    String size = "width=\"" + width + "\" height=\"" + height + "\"";
    return within(drawing)
        .replaceFirst("<svg ", "<svg " + size + " ")
        .replaceFirst("</style>", GROUND + "</style><rect " + size + " class=\"ground\"/>");
  }
}
