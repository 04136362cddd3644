package gotera.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says so when the database is gone or its disk is full. It stands before everything that needs the
 * database, sessions included, and needs nothing itself.
 */
final class StorageGone extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(StorageGone.class);
  static final long RETRY_SECONDS = 3;

  /** MariaDB: ER_DISK_FULL, ER_RECORD_FILE_FULL, ER_GET_ERRNO, ER_ERROR_ON_WRITE. */
  private static final Set<Integer> FULL = Set.of(1021, 1114, 1030, 1026);

  /** What the connection pool says of a connection that broke while it was used. */
  private static final String CLOSED = "Connection is closed";

  /** Who signs in to read, or out, writes little: that much is kept free. */
  private static final Set<String> NEEDED = Set.of("/sign-in", "/sign-out");

  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

  private final DiskRoom room;

  StorageGone(DiskRoom room) {
    this.room = room;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!READING.contains(request.getMethod())
        && !NEEDED.contains(request.getRequestURI())
        && !room.isEnough()) {
      Refusal.DISK.write(response, RETRY_SECONDS);
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (ServletException | IOException | RuntimeException e) {
      // a database that is gone while there is no room is gone because of that
      Optional<Refusal> refusal =
          refusal(e).map(r -> r == Refusal.DATABASE && !room.isEnough() ? Refusal.DISK : r);
      if (refusal.isEmpty()) {
        throw e;
      }
      LOG.warn("{} for {}: {}", refusal.get(), request.getMethod(), e.toString());
      if (!refusal.get().write(response, RETRY_SECONDS)) {
        LOG.warn("another answer had begun, status {}", response.getStatus());
        // a redirect is whole: what it confirms is stored, only the session's last use is not
        if (response.getStatus() / 100 != 3) {
          throw e;
        }
      }
    }
  }

  /** What a failure says about the database, if it does. */
  static Optional<Refusal> refusal(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLException sql) {
        if (FULL.contains(sql.getErrorCode())) {
          return Optional.of(Refusal.DISK);
        }
        String state = sql.getSQLState();
        // class 08: connection; 70100: shutting down; without a state: the pool's connection that
        // broke
        if (cause instanceof java.sql.SQLTransientConnectionException
            || cause instanceof java.sql.SQLNonTransientConnectionException
            || (state == null
                ? CLOSED.equals(sql.getMessage())
                : state.startsWith("08") || state.equals("70100"))) {
          return Optional.of(Refusal.DATABASE);
        }
      }
      if (cause.getCause() == cause) {
        break;
      }
    }
    return Optional.empty();
  }
}
