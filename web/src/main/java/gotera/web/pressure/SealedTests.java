package gotera.web.pressure;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Sealed tests that were read lately. They never change, so any process may keep them; the pages of
 * a job ask for the same test many times.
 */
@Component
class SealedTests {
  /** Readings kept, together: a few tens of megabytes. */
  private static final long MOST_READINGS = 1_000_000;

  /** A test without readings takes as much room as so many of them. */
  private static final int BESIDES = 200;

  private final Cache<UUID, PressureTestView> views =
      Caffeine.newBuilder()
          .maximumWeight(MOST_READINGS)
          .weigher((UUID id, PressureTestView view) -> BESIDES + view.trace().size())
          .build();

  Optional<PressureTestView> of(UUID testId) {
    return Optional.ofNullable(views.getIfPresent(testId));
  }

  /** Keeps a view if its test is sealed. */
  PressureTestView keep(PressureTestView view) {
    if (view.finishedAt().isPresent()) {
      views.put(view.id(), view);
    }
    return view;
  }

  void clear() {
    views.invalidateAll();
  }
}
