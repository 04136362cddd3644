package gotera.web.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.event.AuthenticationFailureBadCredentialsEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/**
 * Wrong tries to sign in, counted for a name from an address: after a few the two must wait, longer
 * with each further one. Whoever types a colleague's name wrong elsewhere keeps no one out.
 */
@Component
class SignInTries {
  /** Wrong tries in a row before a name must wait at an address (our judgement, untested). */
  private static final int MOST_WRONG = 5;

  /** The first wait (min), doubled with each further wrong try (our judgement, untested). */
  private static final int FIRST_WAIT = 1;

  /** The longest wait (min) (our judgement, untested). */
  private static final int LONGEST_WAIT = 60;

  /** Tries that long ago are forgotten (our judgement, untested). */
  private static final Duration FORGOTTEN = Duration.ofHours(12);

  /** The database assigns from left to right: the wait sees the new count. */
  private static final String COUNT =
      """
      insert into sign_in_try (login, address, wrong, wrong_at) values (?, ?, 1, ?)
      on duplicate key update
        wrong = if(wrong_at < ?, 1, wrong + 1),
        wrong_at = values(wrong_at),
        locked_until = if(wrong >= ?,
          values(wrong_at) + interval least(?, ? * pow(2, least(wrong - ?, 20))) minute, null)
      """;

  private final JdbcTemplate database;
  private final Clock clock;

  SignInTries(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** Whether a name must wait at an address. */
  boolean mustWait(String login, String address) {
    Integer locked =
        database.queryForObject(
            "select count(*) from sign_in_try where login = ? and address = ? and locked_until > ?",
            Integer.class,
            shortened(login),
            address,
            at(clock.instant()));
    return locked != null && locked > 0;
  }

  /** Whether a name must wait anywhere. */
  boolean waits(String login) {
    Integer locked =
        database.queryForObject(
            "select count(*) from sign_in_try where login = ? and locked_until > ?",
            Integer.class,
            shortened(login),
            at(clock.instant()));
    return locked != null && locked > 0;
  }

  @EventListener
  public void on(AuthenticationFailureBadCredentialsEvent wrong) {
    wrong(login(wrong.getAuthentication()), address(wrong.getAuthentication()));
  }

  /** Counts a wrong try of a name at an address. */
  void wrong(String login, String address) {
    Instant now = clock.instant();
    database.update(
        COUNT,
        shortened(login),
        address,
        at(now),
        at(now.minus(FORGOTTEN)),
        MOST_WRONG,
        LONGEST_WAIT,
        FIRST_WAIT,
        MOST_WRONG);
  }

  /** What was right forgets what was wrong, there. */
  @EventListener
  public void on(AuthenticationSuccessEvent right) {
    database.update(
        "delete from sign_in_try where login = ? and address = ?",
        login(right.getAuthentication()),
        address(right.getAuthentication()));
  }

  /** Forgets the wrong tries of a name everywhere. */
  void forget(String login) {
    database.update("delete from sign_in_try where login = ?", shortened(login));
  }

  /** Forgets what is long ago. */
  @EventListener(ApplicationReadyEvent.class)
  public void forget() {
    database.update(
        "delete from sign_in_try where wrong_at < ?", at(clock.instant().minus(FORGOTTEN)));
  }

  private static String login(Authentication who) {
    return shortened(AccountService.normal(who.getName()));
  }

  private static String shortened(String login) {
    return login.length() > 60 ? login.substring(0, 60) : login;
  }

  static String address(Authentication who) {
    return who.getDetails() instanceof WebAuthenticationDetails details
        ? details.getRemoteAddress()
        : "";
  }

  private static Timestamp at(Instant instant) {
    return Timestamp.from(instant);
  }
}
