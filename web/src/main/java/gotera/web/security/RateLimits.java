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
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses more than a sender may do in a minute. The counts live in this process only: with several
 * processes a sender gets as much from each, which is still little; what must not be multiplied,
 * the lock of an account, lives in the database.
 */
final class RateLimits extends OncePerRequestFilter {
  private static final long MOST_SENDERS = 20_000;

  /** Largest file that anyone may send by a link (bytes) (our judgement: one photograph). */
  private static final long FILE_OF_ANYONE = 13L * 1024 * 1024;

  /** Largest form that anyone may send (bytes) (our judgement: many times what one holds). */
  private static final long FORM_OF_ANYONE = 64L * 1024;

  /** Bodies that one address may be sending at once (our judgement): each holds a thread. */
  static final int BODIES_AT_ONCE = 24;

  /** Where gauges send to. */
  private static final String GAUGES = "/api/gauges/readings";

  /** Where the camera of a test sends to. */
  private static final String CAMERA = "/camera/frames";

  /** Batches that one address may be sending at once (our judgement): many gauges on one bridge. */
  private static final int GAUGES_AT_ONCE = 100;

  /** Largest batch of a gauge (bytes) (our judgement: twice the most readings of one). */
  private static final long BATCH_OF_A_GAUGE = 512L * 1024;

  /** What is limited. */
  enum Kind {
    SIGN_IN,
    LINK,
    /** A batch of a gauge. */
    GAUGE,
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

  private final Cache<String, AtomicInteger> bodies =
      Caffeine.newBuilder()
          .maximumSize(MOST_SENDERS)
          .expireAfterAccess(Duration.ofMinutes(30))
          .build();

  RateLimits(LimitProperties limits) {
    this.limits = limits;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!hasBody(request)) {
      limited(request, response, chain);
      return;
    }
    Optional<Refusal> refused = tooMuchOfAStranger(request);
    if (refused.isPresent()) {
      refused.get().write(response, 1);
      return;
    }
    boolean gauge = path(request).equals(GAUGES);
    AtomicInteger sending =
        bodies.get((gauge ? "gauges " : "") + request.getRemoteAddr(), a -> new AtomicInteger());
    if (sending.incrementAndGet() > (gauge ? GAUGES_AT_ONCE : BODIES_AT_ONCE)) {
      sending.decrementAndGet();
      Refusal.BUSY.write(response, 1);
      return;
    }
    try {
      limited(request, response, chain);
    } finally {
      sending.decrementAndGet();
    }
  }

  private static boolean hasBody(HttpServletRequest request) {
    return !request.getMethod().equals("GET") && !request.getMethod().equals("HEAD");
  }

  /** Why what a stranger sends is not read, if it is not. */
  private static Optional<Refusal> tooMuchOfAStranger(HttpServletRequest request) {
    if (Client.isKnown()) {
      return Optional.empty();
    }
    boolean diary = path(request).startsWith("/diary/");
    if (isUpload(request) && !diary) {
      return Optional.of(Refusal.LARGE);
    }
    long length = request.getContentLengthLong();
    boolean chunked = request.getHeader("Transfer-Encoding") != null;
    long most =
        diary ? FILE_OF_ANYONE : path(request).equals(GAUGES) ? BATCH_OF_A_GAUGE : FORM_OF_ANYONE;
    return chunked || length > most ? Optional.of(Refusal.LARGE) : Optional.empty();
  }

  private void limited(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
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
    if (post && (path.equals("/sign-in") || path.equals("/first-account"))) {
      return new Sender(Kind.SIGN_IN, Client.address(request));
    }
    if (path.startsWith("/report/") || path.startsWith("/quote/") || path.startsWith("/diary/")) {
      return new Sender(Kind.LINK, Client.address(request));
    }
    if (!post) {
      return null;
    }
    if (path.equals(GAUGES)) {
      return new Sender(Kind.GAUGE, Client.address(request));
    }
    if (path.startsWith("/api/")) {
      return new Sender(Kind.SIGN_IN, Client.address(request));
    }
    if (path.endsWith(CAMERA)) {
      // each camera has its own: one sends a frame a second for half an hour
      return new Sender(Kind.UPLOAD, Client.of(request) + " " + path);
    }
    return new Sender(isUpload(request) ? Kind.UPLOAD : Kind.ENTRY, Client.of(request));
  }

  private static boolean isUpload(HttpServletRequest request) {
    String type = request.getContentType();
    return type != null && type.startsWith(MediaType.MULTIPART_FORM_DATA_VALUE);
  }

  private Bucket bucket(Kind kind) {
    int most =
        switch (kind) {
          case SIGN_IN, LINK -> limits.signInsPerMinute();
          case ENTRY -> limits.entriesPerMinute();
          case GAUGE -> limits.batchesPerMinute();
          case UPLOAD -> limits.uploadsPerMinute();
        };
    return Bucket.builder()
        .addLimit(l -> l.capacity(most).refillGreedy(most, Duration.ofMinutes(1)))
        .build();
  }
}
