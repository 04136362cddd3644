package gotera.web.security;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * Answers that need neither database nor session: a page that stands by itself, and a header from
 * which a page that stays open learns what to say.
 */
enum Refusal {
  /** The database does not answer. */
  DATABASE(
      503,
      "The database does not answer",
      "It is being started again. Nothing of this entry is confirmed; what was confirmed before is"
          + " kept. Try again in a few seconds."),
  /** The disk is full. */
  DISK(
      507,
      "The server\u2019s disk is full",
      "Nothing of this entry was kept; what was confirmed before is kept. Whoever looks after the"
          + " server must make room; then it goes on by itself."),
  /**
   * More than may be sent by whoever is not signed in. With this status, as with the one for busy,
   * the web server closes the connection without reading what is left.
   */
  LARGE(
      413,
      "Too large",
      "Without signing in, no more than a form or a photograph is taken; nothing of it was read."),
  /** As much at once as one address may send. */
  BUSY(
      503,
      "Too many at once",
      "As much as is taken from one address is on its way already. Try again in a few seconds."),
  /** Too much from one sender. */
  MANY(
      429,
      "Too many at once",
      "More came from here than is allowed in a minute. Wait a little, then try again.");

  /** Header that names the refusal. */
  static final String HEADER = "Gotera-Refusal";

  private static final String PAGE = page();

  private final int status;
  private final String title;
  private final String text;

  Refusal(int status, String title, String text) {
    this.status = status;
    this.title = title;
    this.text = text;
  }

  /**
   * Writes the answer; false if another one has begun, and then nobody may take that one for a
   * success.
   */
  boolean write(HttpServletResponse response, long retryAfterSeconds) throws IOException {
    if (response.isCommitted()) {
      return false;
    }
    response.reset();
    response.setStatus(status);
    response.setHeader("Retry-After", Long.toString(retryAfterSeconds));
    response.setHeader(HEADER, name().toLowerCase(Locale.ROOT));
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Content-Security-Policy", SecurityConfiguration.CONTENT);
    response.setContentType("text/html;charset=UTF-8");
    response
        .getOutputStream()
        .write(
            PAGE.replace("{title}", title)
                .replace("{text}", text)
                .getBytes(StandardCharsets.UTF_8));
    return true;
  }

  private static String page() {
    try (InputStream page = Refusal.class.getResourceAsStream("/refusal.html")) {
      return new String(
          java.util.Objects.requireNonNull(page, "refusal.html").readAllBytes(),
          StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
