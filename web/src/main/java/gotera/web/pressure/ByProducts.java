package gotera.web.pressure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.pressure.Decider;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.Remedy;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * What follows from a verdict and costs more than the verdict itself: worked out once for each, and
 * kept as long as that is.
 */
@Component
public class ByProducts {
  private final Cache<PressureTestResult, Both> kept = Caffeine.newBuilder().weakKeys().build();

  ByProducts() {}

  /**
   * What follows.
   *
   * @param deciders what would decide the test, the fewest answers first
   * @param remedies what would have proven it
   */
  private record Both(List<Decider> deciders, List<Remedy> remedies) {
    static final Both NOTHING = new Both(List.of(), List.of());

    static Both of(PressureTestView test) {
      PressureTest analysed = new PressureTest(test.trace(), test.conditions());
      return new Both(
          test.trace().size() < 2 ? List.of() : Decider.of(analysed, test.result()),
          Remedy.of(analysed, test.result()));
    }
  }

  /** What would decide the test; nothing while somebody pumps. */
  public List<Decider> deciders(PressureTestView test) {
    return both(test).deciders();
  }

  /** What would have proven it; nothing while somebody pumps. */
  public List<Remedy> remedies(PressureTestView test) {
    return both(test).remedies();
  }

  private Both both(PressureTestView test) {
    return test.pumping() ? Both.NOTHING : kept.get(test.result(), r -> Both.of(test));
  }
}
