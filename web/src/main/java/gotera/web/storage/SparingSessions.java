package gotera.web.storage;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions that are written only when something of them changed: that somebody was here is noted
 * once a minute and not with every request. Within one request a session is read once.
 *
 * @param <S> what the sessions in the database are
 */
final class SparingSessions<S extends Session>
    implements FindByIndexNameSessionRepository<SparingSessions.Spared<S>> {
  /**
   * So exactly it is known when somebody was here last (our judgement): sessions last for hours.
   */
  private static final Duration EXACT = Duration.ofMinutes(1);

  private final FindByIndexNameSessionRepository<S> kept;

  /** What a request has in hand, from its beginning to its end and no longer. */
  private final ThreadLocal<@Nullable Hand<S>> hands = new ThreadLocal<>();

  private static final class Hand<S extends Session> {
    private @Nullable Spared<S> holds;
  }

  SparingSessions(FindByIndexNameSessionRepository<S> kept) {
    this.kept = kept;
  }

  /** A request begins on this thread. */
  void begin() {
    hands.set(new Hand<>());
  }

  /** It is over. */
  void end() {
    hands.remove();
  }

  private void hold(@Nullable Spared<S> session) {
    Hand<S> hand = hands.get();
    if (hand != null) {
      hand.holds = session;
    }
  }

  @Override
  public Spared<S> createSession() {
    return new Spared<>(kept.createSession(), true);
  }

  @Override
  public void save(Spared<S> session) {
    if (session.changed) {
      kept.save(session.session);
      session.changed = false;
    }
    hold(session);
  }

  @Override
  public @Nullable Spared<S> findById(String id) {
    Hand<S> hand = hands.get();
    Spared<S> mine = hand == null ? null : hand.holds;
    if (mine != null && mine.getId().equals(id)) {
      return mine;
    }
    S found = kept.findById(id);
    return found == null ? null : new Spared<>(found, false);
  }

  @Override
  public void deleteById(String id) {
    hold(null);
    kept.deleteById(id);
  }

  @Override
  public Map<String, Spared<S>> findByIndexNameAndIndexValue(String name, String value) {
    Map<String, Spared<S>> found = new LinkedHashMap<>();
    kept.findByIndexNameAndIndexValue(name, value)
        .forEach((id, session) -> found.put(id, new Spared<>(session, false)));
    return found;
  }

  /**
   * A session, and whether it must be written.
   *
   * @param <S> what it is in the database
   */
  static final class Spared<S extends Session> implements Session {
    private final S session;
    private boolean changed;

    Spared(S session, boolean changed) {
      this.session = session;
      this.changed = changed;
    }

    @Override
    public void setLastAccessedTime(Instant now) {
      if (now.isAfter(session.getLastAccessedTime().plus(EXACT))) {
        session.setLastAccessedTime(now);
        changed = true;
      }
    }

    @Override
    public String changeSessionId() {
      changed = true;
      return session.changeSessionId();
    }

    @Override
    public void setAttribute(String name, Object value) {
      changed = true;
      session.setAttribute(name, value);
    }

    @Override
    public void removeAttribute(String name) {
      changed |= session.getAttribute(name) != null;
      session.removeAttribute(name);
    }

    @Override
    public void setMaxInactiveInterval(Duration interval) {
      changed |= !interval.equals(session.getMaxInactiveInterval());
      session.setMaxInactiveInterval(interval);
    }

    @Override
    public String getId() {
      return session.getId();
    }

    @Override
    public <T> @Nullable T getAttribute(String name) {
      return session.getAttribute(name);
    }

    @Override
    public Set<String> getAttributeNames() {
      return session.getAttributeNames();
    }

    @Override
    public Instant getCreationTime() {
      return session.getCreationTime();
    }

    @Override
    public Instant getLastAccessedTime() {
      return session.getLastAccessedTime();
    }

    @Override
    public Duration getMaxInactiveInterval() {
      return session.getMaxInactiveInterval();
    }

    @Override
    public boolean isExpired() {
      return session.isExpired();
    }
  }
}
