package gotera.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.drawing.BoilingLine.Mark;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class BoilingLineTests {
  @Test
  void theHotterTheFurtherRight() {
    String svg =
        BoilingLine.of(
            List.of(
                new Mark(105, "hottest", "hottest"),
                new Mark(108, "open", "open"),
                new Mark(130, "right", "right"),
                new Mark(400, "off the line", "now")),
            "boiling points");
    assertThat(at(svg, "hottest")).isLessThan(at(svg, "open"));
    assertThat(at(svg, "open")).isLessThan(at(svg, "right"));
    assertThat(at(svg, "now")).isEqualTo(640);
    assertThat(svg).contains("aria-label=\"boiling points\"");
  }

  private static double at(String svg, String style) {
    Matcher m = Pattern.compile("x1=\"([\\d.]+)\"[^>]*boiling-mark boiling-" + style).matcher(svg);
    assertThat(m.find()).isTrue();
    return Double.parseDouble(m.group(1));
  }
}
