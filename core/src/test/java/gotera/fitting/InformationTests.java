package gotera.fitting;

import gotera.testkit.Close;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class InformationTests {
  /** The slope of a line through three evenly spaced readings: sd² / Σ(t − mean)². */
  @Test
  void theVarianceOfASlopeIsThatOfTheTextbook() {
    double[][] rows = {{1, 0}, {1, 1}, {1, 2}};
    Close.to("slope", Information.variance(rows, 0.3, new double[] {0, 0}, 1), 0.09 / 2, 1e-12);
  }

  /** What has died away tells nothing, down to the smallest number there is. */
  @ParameterizedTest
  @ValueSource(doubles = {1e-12, 1e-300, 1e-310, 1e-316, 3e-318, 7e-320, 1.3e-321, 4.9e-324, 0})
  void whatHasDiedAwayTellsNothing(double left) {
    double[][] rows = {{0.8, 0, 0, 0}, {0.8, -981, -1, 0.7 * left}, {0.8, -1962, -1, left}};
    double[][] without = {{0.8, 0, 0}, {0.8, -981, -1}, {0.8, -1962, -1}};
    double expected = Information.variance(without, 4.3, new double[] {0, 0, 2.1}, 1);
    double[] prior = {0, 0, 2.1, 1.5625};
    Close.to("slope", Information.variance(rows, 4.3, prior, 1), expected, 1e-9 * expected);
  }
}
