package gotera.web.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.StringTemplateResolver;

class UnbrokenFiguresTests {
  @ParameterizedTest
  @CsvSource({
    "Leak 0.61 ± 0.07 mL/min,Leak 0.61_±_0.07_mL/min",
    "at 117.2 kPa · 31 days,at 117.2_kPa · 31 days",
    "≤ 2 L at 20 °C,≤_2_L at 20_°C",
    "40 % of 12 places,40_% of 12 places",
    "step 12 kind,step 12 kind",
    "−3 ± −0.5 K/min,−3_±_−0.5_K/min",
    "no figure here,no figure here",
    "17 sites,17 sites"
  })
  void aNumberAndItsUnitStayTogether(String text, String kept) {
    assertThat(UnbrokenFigures.unbroken(text)).isEqualTo(kept.replace('_', '\u00a0'));
  }

  @Test
  void whatWasTypedStaysAsItWasTyped() {
    SpringTemplateEngine engine = new SpringTemplateEngine();
    engine.setTemplateResolver(new StringTemplateResolver());
    engine.addDialect(new UnbrokenFigures());
    String page =
        engine.process(
            "<p>[[${a}]]</p><textarea>[[${a}]]</textarea><b title=\"2 L\">3 L</b>",
            new Context(null, Map.of("a", "5 kPa")));
    assertThat(page)
        .isEqualTo("<p>5\u00a0kPa</p><textarea>5 kPa</textarea><b title=\"2 L\">3\u00a0L</b>");
  }
}
