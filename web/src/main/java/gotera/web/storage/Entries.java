package gotera.web.storage;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What is sent twice is stored once. Every form carries an identifier of its own, made with its
 * page; whoever writes claims it within the same transaction, so that a second click, a resent form
 * or a lost answer finds it taken and is led where the first one went.
 */
@Component
public class Entries {
  /** Name of the field and parameter. */
  public static final String FIELD = "entryId";

  private static final String CLAIMED = Entries.class.getName();

  /** A browser does not send a form again after so long (our judgement). */
  private static final Duration KEPT = Duration.ofDays(14);

  private final JdbcTemplate database;
  private final Clock clock;

  Entries(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** The entry was stored already. */
  static final class StoredAlready extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Optional<String> ledTo;
    private final boolean elsewhere;

    StoredAlready(Optional<String> ledTo, boolean elsewhere) {
      super("entry stored already");
      this.ledTo = ledTo;
      this.elsewhere = elsewhere;
    }

    Optional<String> ledTo() {
      return ledTo;
    }

    /** Whether it was stored by another form: an identifier belongs to one. */
    boolean elsewhere() {
      return elsewhere;
    }
  }

  /**
   * Claims the entry of the request that is being answered; callers hold the transaction. Once a
   * request has claimed it, further writes of the same request pass.
   */
  public void claim() {
    Optional<HttpServletRequest> request = writing();
    Optional<UUID> id = request.flatMap(Entries::id);
    if (id.isEmpty()) {
      return;
    }
    String path = path(request.get());
    int added =
        database.update(
            "insert ignore into entry (id, path, written_at) values (?, ?, ?)",
            id.get().toString(),
            path,
            Timestamp.from(clock.instant()));
    if (added == 0 && request.get().getAttribute(CLAIMED) == null) {
      List<String[]> before =
          database.query(
              "select path, led_to from entry where id = ?",
              (row, n) -> new String[] {row.getString(1), row.getString(2)},
              id.get().toString());
      boolean elsewhere = !before.isEmpty() && !before.get(0)[0].equals(path);
      throw new StoredAlready(
          before.stream().map(r -> r[1]).filter(java.util.Objects::nonNull).findFirst(), elsewhere);
    }
    if (added > 0) {
      holdsUntilTakenBack(request.get());
    }
  }

  /**
   * The claim holds for the request, unless its transaction is taken back: the next try must claim
   * anew, for another process may have come first meanwhile.
   */
  private static void holdsUntilTakenBack(HttpServletRequest request) {
    request.setAttribute(CLAIMED, Boolean.TRUE);
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCompletion(int status) {
            if (status != STATUS_COMMITTED) {
              request.removeAttribute(CLAIMED);
            }
          }
        });
  }

  /** Remembers where an entry led, for whoever sends it again. */
  void led(HttpServletRequest request, String to) {
    if (request.getAttribute(CLAIMED) != null && to.length() <= 400) {
      id(request)
          .ifPresent(
              id -> database.update("update entry set led_to = ? where id = ?", to, id.toString()));
    }
  }

  /** The identifier of the entry being written, if its form carried one. */
  public Optional<UUID> current() {
    return writing().flatMap(Entries::id);
  }

  private static Optional<HttpServletRequest> writing() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes a
            && a.getRequest().getMethod().equals("POST")
        ? Optional.of(a.getRequest())
        : Optional.empty();
  }

  private static Optional<UUID> id(HttpServletRequest request) {
    return read(request.getParameter(FIELD));
  }

  /** An identifier as a form carries it. */
  static Optional<UUID> read(@Nullable String text) {
    return text != null && text.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
        ? Optional.of(UUID.fromString(text))
        : Optional.empty();
  }

  private static String path(HttpServletRequest request) {
    String path = request.getRequestURI();
    return path.length() > 300 ? path.substring(0, 300) : path;
  }

  /** Forgets what nobody will send again. */
  @EventListener(ApplicationReadyEvent.class)
  @Transactional
  public void forget() {
    database.update(
        "delete from entry where written_at < ?", Timestamp.from(clock.instant().minus(KEPT)));
  }
}
