package gotera.web.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses more than a sender may do in a minute. The counts live in this process only: with several
 * processes a sender gets as much from each, which is still little; what must not be multiplied,
 * the lock of an account, lives in the database.
 */
final class RateLimits extends OncePerRequestFilter {
  private static final long MOST_SENDERS = 20_000;

  /** What is limited. */
  /** Largest body that anyone may send by a link (bytes) (our judgement: one photograph). */
  private static final long OF_ANYONE = 13L * 1024 * 1024;

  enum Kind {
    SIGN_IN,
    ENTRY,
    UPLOAD
  }

  private record Sender(Kind kind, String who) {}

  private final LimitProperties limits;
  private final Cache<Sender, Bucket> buckets =
      Caffeine.newBuilder()
          .maximumSize(MOST_SENDERS)
          .expireAfterAccess(Duration.ofMinutes(5))
          .build();

  RateLimits(LimitProperties limits) {
    this.limits = limits;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (path(request).startsWith("/diary/")
        && request.getMethod().equals("POST")
        && (request.getContentLengthLong() < 0 || request.getContentLengthLong() > OF_ANYONE)) {
      // read no more of a stranger's body than a photograph
      response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
      return;
    }
    Sender sender = sender(request);
    if (sender != null) {
      ConsumptionProbe probe =
          buckets.get(sender, s -> bucket(s.kind())).tryConsumeAndReturnRemaining(1);
      if (!probe.isConsumed()) {
        long wait = Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1;
        Refusal.MANY.write(response, wait);
        return;
      }
    }
    chain.doFilter(request, response);
  }

  /** The path as it is handled, whatever way it was written. */
  private static String path(HttpServletRequest request) {
    String rest = request.getPathInfo();
    return rest == null ? request.getServletPath() : request.getServletPath() + rest;
  }

  private static @org.jspecify.annotations.Nullable Sender sender(HttpServletRequest request) {
    String path = path(request);
    boolean post = request.getMethod().equals("POST");
    if ((post && (path.equals("/sign-in") || path.equals("/first-account")))
        || path.startsWith("/report/")
        || path.startsWith("/quote/")
        || path.startsWith("/diary/")) {
      return new Sender(Kind.SIGN_IN, Client.address(request));
    }
    if (!post) {
      return null;
    }
    String type = request.getContentType();
    boolean upload = type != null && type.startsWith(MediaType.MULTIPART_FORM_DATA_VALUE);
    return new Sender(upload ? Kind.UPLOAD : Kind.ENTRY, Client.of(request));
  }

  private Bucket bucket(Kind kind) {
    int most =
        switch (kind) {
          case SIGN_IN -> limits.signInsPerMinute();
          case ENTRY -> limits.entriesPerMinute();
          case UPLOAD -> limits.uploadsPerMinute();
        };
    return Bucket.builder()
        .addLimit(l -> l.capacity(most).refillGreedy(most, Duration.ofMinutes(1)))
        .build();
  }
}
