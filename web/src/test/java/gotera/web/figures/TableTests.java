package gotera.web.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TableTests {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "=1+1",
        "+1;cmd",
        "-2+3",
        "@SUM(A1)",
        "\t=1",
        "\r=1",
        "\n=1",
        "\uff1d1",
        "=HYPERLINK(\"x\")"
      })
  void aFormulaStaysAText(String cell) {
    assertThat(Table.harmless(cell)).isEqualTo("'" + cell);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "-12.5", "3", "Lower hose", "a=b", "0.1 kPa"})
  void whatIsNoFormulaStaysAsItIs(String cell) {
    assertThat(Table.harmless(cell)).isEqualTo(cell);
  }

  @Test
  void cellsWithSeparatorsAndQuotesAreQuoted() {
    Table table = new Table("a", "b");
    table.row(List.of("one, two", "say \"dry\"\nthen"));
    assertThat(table.toString()).isEqualTo("a,b\r\n\"one, two\",\"say \"\"dry\"\"\nthen\"\r\n");
  }
}
