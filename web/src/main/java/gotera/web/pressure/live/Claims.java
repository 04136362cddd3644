package gotera.web.pressure.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.pressure.EarlyClaim;
import gotera.web.pressure.PressureTestView;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What is claimed of tests before their end. A look that was made is not made again as long as what
 * it saw is what it was; any process comes to the same.
 */
@Component
class Claims {
  private static final long MOST_TESTS = 1000;

  private final Cache<UUID, Looked> looked = Caffeine.newBuilder().maximumSize(MOST_TESTS).build();

  /**
   * What was looked at.
   *
   * @param last the last look
   * @param seen everything it was made from
   * @param claim what came of it
   */
  private record Looked(int last, int seen, Optional<EarlyClaim> claim) {}

  /** The first claim of a test up to now. */
  Optional<EarlyClaim> of(PressureTestView test) {
    int last = EarlyClaim.lastLook(test.trace(), test.conditions());
    Looked before = looked.getIfPresent(test.id());
    int from = 0;
    if (before != null && before.last() <= last && before.seen() == seen(test, before.last())) {
      if (before.last() == last || before.claim().isPresent()) {
        return before.claim();
      }
      from = before.last() + 1;
    }
    Optional<EarlyClaim> claim = EarlyClaim.first(test.trace(), test.conditions(), from);
    looked.put(test.id(), new Looked(last, seen(test, last), claim));
    return claim;
  }

  /** Readings up to a look and everything else a look is made from, told apart by its hash. */
  private static int seen(PressureTestView test, int look) {
    double until = test.origin() + EarlyClaim.seconds(look);
    int hash = test.conditions().hashCode();
    for (int i = 0; i < test.trace().size() && test.trace().seconds(i) <= until; i++) {
      hash = 31 * hash + Double.hashCode(test.trace().seconds(i));
      hash = 31 * hash + Double.hashCode(test.trace().gauge(i));
    }
    return hash;
  }
}
