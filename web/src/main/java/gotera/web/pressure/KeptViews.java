package gotera.web.pressure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.web.pressure.trace.Contents;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Tests that were read lately, with their verdicts: the pages of a job ask for the same test many
 * times, and many look at one that runs. A test is kept for one state of what the database holds of
 * it, so that any process may keep it.
 */
@Component
class KeptViews {
  /** Readings kept, together: a few tens of megabytes. */
  private static final long MOST_READINGS = 500_000;

  /** A test without readings takes as much room as so many of them. */
  private static final int BESIDES = 200;

  private final Cache<State, PressureTestView> views =
      Caffeine.newBuilder()
          .maximumWeight(MOST_READINGS)
          .weigher((State state, PressureTestView view) -> BESIDES + view.trace().size())
          .build();

  /** What a view that is still in use holds, with where each reading is kept. */
  private final Cache<PressureTestView, Contents> contents =
      Caffeine.newBuilder().weakKeys().build();

  /**
   * A state of a test.
   *
   * @param testId the test
   * @param told everything that tells this state from any other of the same test
   */
  record State(UUID testId, String told) {}

  /** The test in a state. */
  PressureTestView of(State state, Supplier<PressureTestView> read) {
    PressureTestView known = views.getIfPresent(state);
    if (known == null) {
      known = read.get();
      views.put(state, known);
    }
    return known;
  }

  /** Keeps what a view was made of as long as the view is in use. */
  void madeOf(PressureTestView view, Contents held) {
    contents.put(view, held);
  }

  /** What a view was made of; null where it was not made here. */
  @Nullable Contents contents(PressureTestView view) {
    return contents.getIfPresent(view);
  }

  /** Forgets all. */
  void clear() {
    views.invalidateAll();
  }
}
