package gotera.cap;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.quantity.GaugePressure;
import gotera.quantity.PressureUnit;
import gotera.quantity.Understanding;
import gotera.quantity.Understanding.Ambiguous;
import gotera.quantity.Understanding.NotUnderstood;
import gotera.quantity.Understanding.Understood;
import gotera.testkit.Close;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CapStampTests {
  @ParameterizedTest
  @CsvSource({"18, 124.1", "1.2, 120", "124, 124", "0.9 bar, 90", "16psi, 110.3"})
  void aBareNumberWithOneMeaningIsUnderstood(String stamp, double kilopascals) {
    Understanding<GaugePressure> read = CapStamp.read(stamp, Optional.empty());
    assertThat(read).isInstanceOf(Understood.class);
    Close.to(stamp, ((Understood<GaugePressure>) read).value().kilopascals(), kilopascals, 0.05);
  }

  @Test
  void aNumberThatMakesACapInTwoUnitsIsAskedBack() {
    Understanding<GaugePressure> read = CapStamp.read("30", Optional.empty());
    assertThat(((Ambiguous<GaugePressure>) read).meanings())
        .extracting(p -> Math.round(p.kilopascals()))
        .containsExactly(30L, 207L);
  }

  @Test
  void noCapIsRatedOnePointTwoPsiSoItIsAskedBack() {
    Understanding<GaugePressure> read = CapStamp.read("1.2", Optional.of(PressureUnit.PSI));
    assertThat(((Ambiguous<GaugePressure>) read).meanings())
        .containsExactly(new GaugePressure(120));
  }

  @Test
  void theChosenUnitDecidesWhereItMakesACap() {
    assertThat(CapStamp.read("30", Optional.of(PressureUnit.KPA)))
        .isEqualTo(new Understood<>(new GaugePressure(30)));
  }

  @ParameterizedTest
  @CsvSource({"9000", "0.01", "400 kPa", "letters"})
  void whatNoCapIsRatedAtHasNoMeaning(String stamp) {
    assertThat(CapStamp.read(stamp, Optional.empty())).isInstanceOf(NotUnderstood.class);
  }

  @Test
  void theLimitIsTheLowerOfCapAndMakersFigure() {
    GaugePressure cap = new GaugePressure(124);
    assertThat(TestLimit.of(cap, Optional.of(new GaugePressure(110)), Optional.empty()))
        .isEqualTo(new TestLimit(new GaugePressure(110), TestLimit.Source.MAKER_FIGURE));
    assertThat(TestLimit.of(cap, Optional.of(new GaugePressure(140)), Optional.empty()).source())
        .isEqualTo(TestLimit.Source.CAP);
  }

  @Test
  void aConfirmedTestPressureOfTheMakersIsTheOneException() {
    TestLimit limit =
        TestLimit.of(new GaugePressure(124), Optional.empty(), Optional.of(new GaugePressure(150)));
    assertThat(limit)
        .isEqualTo(new TestLimit(new GaugePressure(150), TestLimit.Source.MAKER_TEST_PRESSURE));
  }
}
