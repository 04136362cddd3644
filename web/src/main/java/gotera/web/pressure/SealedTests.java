package gotera.web.pressure;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Sealed tests that were read lately. They never change, so any process may keep them; the pages of
 * a job ask for the same test many times.
 */
@Component
class SealedTests {
  private static final int MOST = 200;

  private final Map<UUID, PressureTestView> views =
      Collections.synchronizedMap(
          new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<UUID, PressureTestView> eldest) {
              return size() > MOST;
            }
          });

  Optional<PressureTestView> of(UUID testId) {
    return Optional.ofNullable(views.get(testId));
  }

  /** Keeps a view if its test is sealed. */
  PressureTestView keep(PressureTestView view) {
    if (view.finishedAt().isPresent()) {
      views.put(view.id(), view);
    }
    return view;
  }

  void clear() {
    views.clear();
  }
}
