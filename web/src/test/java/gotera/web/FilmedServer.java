package gotera.web;

import gotera.testkit.HandClock;
import gotera.testkit.dial.Film;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.IntConsumer;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * The application with a clock that is moved by hand, which knows by its number each frame of a
 * film that a browser's camera sends, and what was answered.
 */
final class FilmedServer implements AutoCloseable {
  private final ConfigurableApplicationContext context;
  private final HandClock clock = new HandClock(Instant.now().minus(Duration.ofHours(1)));
  private final List<Seen> seen = new CopyOnWriteArrayList<>();
  private final List<Seen> stills = new CopyOnWriteArrayList<>();
  private volatile double half = 1;
  private volatile IntConsumer before = number -> {};

  /** A frame and what was said of it. */
  record Seen(int number, boolean read, String said) {
    /** The pressure that was read (kPa). */
    double kilopascals() {
      return Double.parseDouble(said.replaceAll("[^0-9.].*$", ""));
    }
  }

  FilmedServer(Application.Running application) {
    String[] as =
        Stream.of("url", "password")
            .map(
                p ->
                    "--gotera.database."
                        + p
                        + "="
                        + application
                            .context()
                            .getEnvironment()
                            .getRequiredProperty("gotera.database." + p))
            .toArray(String[]::new);
    context =
        new SpringApplicationBuilder(GoteraApplication.class)
            .initializers(
                c ->
                    ((org.springframework.context.support.GenericApplicationContext) c)
                        .registerBean(Extras.class, () -> new Extras(this)))
            .web(WebApplicationType.SERVLET)
            .run(
                Stream.concat(
                        Arrays.stream(as),
                        Stream.of(
                            "--server.port=0",
                            "--spring.main.lazy-initialization=true",
                            "--gotera.limits.sign-ins-per-minute=600",
                            "--gotera.limits.uploads-per-minute=60000",
                            "--gotera.limits.entries-per-minute=60000"))
                    .toArray(String[]::new));
  }

  /** Beans beside those of the application; not found by its scan. */
  static final class Extras {
    private final FilmedServer server;

    Extras(FilmedServer server) {
      this.server = server;
    }

    @Bean
    @Primary
    Clock hand() {
      return server.clock;
    }

    @Bean
    OncePerRequestFilter frames() {
      return server.new Frames();
    }
  }

  private final class Frames extends OncePerRequestFilter {
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
      return !request.getRequestURI().matches(".*/camera/(frames|dial)");
    }

    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      boolean still = request.getRequestURI().endsWith("dial");
      BufferedImage square =
          ImageIO.read(request.getPart(still ? "still" : "frame").getInputStream());
      int number = Film.number(square, half);
      if (!still) {
        before.accept(number);
      }
      ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
      chain.doFilter(request, answer);
      String text = new String(answer.getContentAsByteArray(), StandardCharsets.UTF_8);
      answer.copyBodyToResponse();
      (still ? stills : seen)
          .add(
              new Seen(
                  number,
                  text.contains("\"done\":true"),
                  text.replaceAll("^.*\"said\":\"", "").replace("\"}", "")));
    }
  }

  String address() {
    return "http://127.0.0.1:" + ((WebServerApplicationContext) context).getWebServer().getPort();
  }

  <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Frames so far, in order. */
  List<Seen> seen() {
    return seen;
  }

  /** Stills on which a dial was touched, in order. */
  List<Seen> stills() {
    return stills;
  }

  /**
   * Another film begins.
   *
   * @param half half the side of the square that the page cuts, in dots of the film
   * @param before what happens before a frame of such a number is answered
   */
  void film(double half, IntConsumer before) {
    this.half = half;
    this.before = before;
    seen.clear();
    stills.clear();
  }

  Instant now() {
    return clock.instant();
  }

  /** Moves the clock on, never back. */
  void set(Instant to) {
    Duration on = Duration.between(clock.instant(), to);
    if (!on.isNegative()) {
      clock.advance(on);
    }
  }

  @Override
  public void close() {
    context.close();
  }
}
