package gotera.balance;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.law.LeakLaw;
import gotera.quantity.GaugePressure;
import gotera.quantity.Volume;
import gotera.testkit.Close;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LeakBalanceTests {
  private static final GaugePressure RATED = new GaugePressure(110);

  @Test
  void whatSitesDoNotExplainIsAnotherLeakWhenItExceedsItsUncertainty() {
    LeakBalance balance =
        LeakBalance.of(
            0.61,
            0.05,
            List.of(
                new SiteFlow.Drops(4, Optional.empty()),
                new SiteFlow.Drops(2, Optional.empty()),
                new SiteFlow.Caught(new Volume(1), 10, 0.01, Optional.empty())),
            LeakLaw.SEEP,
            RATED);
    Close.to("unexplained (mL/min)", balance.unexplained(), 0.2100, 5e-5);
    Close.to("u (mL/min)", balance.unexplainedU(), 0.09069, 5e-6);
    Close.to("critical (mL/min)", balance.critical(), 0.1492, 5e-5);
    assertThat(balance.anotherLeak()).isTrue();
  }

  @Test
  void flowsAtALowerPressureCountForMoreAtTheRatedOne() {
    LeakBalance balance =
        LeakBalance.of(
            1,
            0.1,
            List.of(new SiteFlow.Drops(10, Optional.of(new GaugePressure(55)))),
            LeakLaw.SEEP,
            RATED);
    Close.to("explained (mL/min)", balance.explained().get(0), 1.0, 1e-12);
    assertThat(balance.anotherLeak()).isFalse();
  }

  @Test
  void explainedAndUnexplainedAddUpToTheRate() {
    LeakBalance balance =
        LeakBalance.of(
            0.8,
            0.1,
            List.of(
                new SiteFlow.Drops(3, Optional.of(new GaugePressure(80))),
                new SiteFlow.Drops(1, Optional.empty())),
            LeakLaw.ORIFICE,
            RATED);
    double sum = balance.explained().stream().mapToDouble(Double::doubleValue).sum();
    Close.to("sum (mL/min)", sum + balance.unexplained(), 0.8, 1e-12);
  }
}
