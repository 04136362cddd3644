package gotera.web.storage;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.transaction.annotation.Transactional;

/**
 * A short transaction that is run again when the database asks: after a deadlock, or when someone
 * else's row came first. A version that moved is not retried: its user must see both.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@Transactional
@Retryable(predicate = Again.class, maxRetries = 5, delay = 20, jitter = 20)
public @interface Write {}
