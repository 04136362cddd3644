package gotera.web.storage;

import java.lang.reflect.Method;
import java.sql.SQLException;
import java.util.Set;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.retry.MethodRetryPredicate;

/**
 * Whether a transaction that failed is run again. On a cluster a conflict shows only when it is
 * kept, and then in the clothes of whoever was keeping it: the database's own number tells.
 */
final class Again implements MethodRetryPredicate {
  /**
   * MariaDB: ER_CHECKREAD (the row moved since it was read), ER_LOCK_WAIT_TIMEOUT, ER_LOCK_DEADLOCK
   * (on a Galera cluster every conflict between nodes, the one at the commit too).
   */
  private static final Set<Integer> CONFLICTS = Set.of(1020, 1205, 1213);

  /** Deeper no cause is looked for: one that is its own cause would never end. */
  private static final int DEEPEST = 20;

  @Override
  public boolean shouldRetry(Method method, Throwable failure) {
    if (failure instanceof PessimisticLockingFailureException
        || failure instanceof DataIntegrityViolationException) {
      return true;
    }
    Throwable cause = failure;
    for (int i = 0; i < DEEPEST && cause != null; i++) {
      if (cause instanceof SQLException sql && CONFLICTS.contains(sql.getErrorCode())) {
        return true;
      }
      cause = cause.getCause();
    }
    return false;
  }
}
