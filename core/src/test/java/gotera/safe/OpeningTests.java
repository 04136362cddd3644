package gotera.safe;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.safe.Opening.Verdict;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OpeningTests {
  @ParameterizedTest
  @CsvSource({
    "true, , false, false, MAY_OPEN",
    "true, 44, false, false, MAY_OPEN",
    "true, 46, false, false, HOT",
    "false, 20, false, false, HARD",
    ", 20, false, false, UNKNOWN",
    ", , false, false, UNKNOWN",
    ", 80, false, false, HOT",
    "true, 20, true, false, HIGH_VOLTAGE",
    "false, 20, true, true, HARD",
    "true, 20, true, true, MAY_OPEN"
  })
  void onlySoftAndColdAndAllowedIsOpened(
      Boolean soft, Double celsius, boolean highVoltage, boolean qualified, Verdict verdict) {
    Opening opening =
        new Opening(
            Optional.ofNullable(soft),
            celsius == null ? OptionalDouble.empty() : OptionalDouble.of(celsius),
            highVoltage,
            qualified);
    assertThat(opening.verdict()).isEqualTo(verdict);
  }
}
