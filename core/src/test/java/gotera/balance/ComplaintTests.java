package gotera.balance;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.coolant.CoolantMixture;
import gotera.testkit.Close;
import org.junit.jupiter.api.Test;

class ComplaintTests {
  private static final CoolantMixture HALF = new CoolantMixture(0.5);

  @Test
  void waterIsThreeTimesAsThinHotAndCoolantFourToFiveTimes() {
    // IAPWS R12-08: 1.002 and 0.3145 mPa·s
    Close.to("water", Complaint.hotEquivalent(1, new CoolantMixture(0)), 3.186, 0.01);
    assertThat(Complaint.hotEquivalent(1, HALF)).isBetween(4.0, 5.0);
  }

  @Test
  void aColdRateIsHeldAgainstWhatIsLostHot() {
    Complaint complaint = new Complaint(1890, 7);
    Close.to("hot (mL/min)", complaint.rate(), 4.5, 1e-12);
    assertThat(complaint.against(1, 0.05, HALF)).isEqualTo(Complaint.Answer.EXPLAINED);
    assertThat(complaint.against(0, 0.03, HALF)).isEqualTo(Complaint.Answer.MORE_IS_LOST);
    assertThat(complaint.against(4, 0.1, HALF)).isEqualTo(Complaint.Answer.LESS_IS_LOST);
  }
}
