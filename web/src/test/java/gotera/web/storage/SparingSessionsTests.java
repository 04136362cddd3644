package gotera.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;

class SparingSessionsTests {
  private final Stored stored = new Stored();
  private final SparingSessions<MapSession> sessions = new SparingSessions<>(stored);

  /** Sessions as the database has them: each reading is a copy. */
  private static final class Stored implements FindByIndexNameSessionRepository<MapSession> {
    private final Map<String, MapSession> all = new HashMap<>();
    private int written;
    private int read;

    @Override
    public MapSession createSession() {
      return new MapSession();
    }

    @Override
    public void save(MapSession session) {
      written++;
      all.put(session.getId(), new MapSession(session));
    }

    @Override
    public MapSession findById(String id) {
      read++;
      MapSession found = all.get(id);
      return found == null ? null : new MapSession(found);
    }

    @Override
    public void deleteById(String id) {
      all.remove(id);
    }

    @Override
    public Map<String, MapSession> findByIndexNameAndIndexValue(String name, String value) {
      return all;
    }
  }

  private String begun() {
    SparingSessions.Spared<MapSession> session = sessions.createSession();
    sessions.save(session);
    return session.getId();
  }

  private SparingSessions.Spared<MapSession> found(String id) {
    return Objects.requireNonNull(sessions.findById(id));
  }

  @Test
  void whatDidNotChangeIsNotWritten() {
    String id = begun();
    SparingSessions.Spared<MapSession> session = found(id);
    session.setLastAccessedTime(Instant.now().plusSeconds(20));
    sessions.save(session);
    assertThat(stored.written).isEqualTo(1);
    session.setLastAccessedTime(Instant.now().plus(Duration.ofMinutes(2)));
    sessions.save(session);
    assertThat(stored.written).isEqualTo(2);
    session.setAttribute("said", "once");
    sessions.save(session);
    assertThat(stored.written).isEqualTo(3);
    session.removeAttribute("never there");
    sessions.save(session);
    assertThat(stored.written).isEqualTo(3);
    session.removeAttribute("said");
    sessions.save(session);
    assertThat(stored.written).isEqualTo(4);
    assertThat(found(id).<Object>getAttribute("said")).isNull();
  }

  @Test
  void withinARequestItIsReadOnce() {
    String id = begun();
    sessions.begin();
    sessions.save(found(id));
    int read = stored.read;
    found(id);
    assertThat(stored.read).isEqualTo(read);
    sessions.end();
  }

  /** What another process wrote or ended in between counts, whatever this thread did before. */
  @Test
  void nothingIsHeldBetweenRequests() {
    String id = begun();
    sessions.begin();
    sessions.save(found(id));
    sessions.end();
    // an answer that goes on ends on a thread of its own, without a request around it
    sessions.save(found(id));
    MapSession elsewhere = stored.findById(id);
    elsewhere.setAttribute("said", "elsewhere");
    stored.save(elsewhere);
    assertThat(found(id).<Object>getAttribute("said")).isEqualTo("elsewhere");
    stored.deleteById(id);
    assertThat(sessions.findById(id)).isNull();
  }
}
