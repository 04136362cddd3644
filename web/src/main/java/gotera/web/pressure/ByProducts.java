package gotera.web.pressure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.pressure.Decider;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.Remedy;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What follows from a verdict and costs more than the verdict itself: worked out once for each, and
 * kept as long as that is.
 */
@Component
public class ByProducts {
  private final Cache<PressureTestResult, Both> kept = Caffeine.newBuilder().weakKeys().build();
  private final Cache<PressureTestResult, PressureTestResult> present =
      Caffeine.newBuilder().weakKeys().build();

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

  /**
   * What this version of the computation says of a finished test whose verdict an earlier one gave;
   * empty where it says the same verdict and about the same rate.
   */
  public Optional<PressureTestResult> present(PressureTestView test) {
    if (test.finishedAt().isEmpty() || test.result().estimator().equals(PressureTest.VERSION)) {
      return Optional.empty();
    }
    PressureTestResult now =
        present.get(
            test.result(), r -> new PressureTest(test.trace(), test.conditions()).analyse());
    return Optional.of(now).filter(n -> n.saysOtherwiseThan(test.result()));
  }

  private Both both(PressureTestView test) {
    return test.pumping() ? Both.NOTHING : kept.get(test.result(), r -> Both.of(test));
  }
}
