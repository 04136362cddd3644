package gotera.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;

/**
 * Says so when the database goes while a request is handled. It comes before Spring's own
 * resolvers: those take a database connection that was reset for a client that hung up, write
 * nothing, and the empty answer would look like a success.
 */
@Component
final class StorageGoneInHandler implements HandlerExceptionResolver, Ordered {
  private static final Logger LOG = LoggerFactory.getLogger(StorageGoneInHandler.class);

  @Override
  public int getOrder() {
    return Ordered.HIGHEST_PRECEDENCE;
  }

  @Override
  public @Nullable ModelAndView resolveException(
      HttpServletRequest request,
      HttpServletResponse response,
      @Nullable Object handler,
      Exception failure) {
    Optional<Refusal> refusal = StorageGone.refusal(failure);
    if (refusal.isEmpty()) {
      return null;
    }
    LOG.warn("{} for {}: {}", refusal.get(), request.getMethod(), failure.toString());
    try {
      return refusal.get().write(response, StorageGone.RETRY_SECONDS) ? new ModelAndView() : null;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
