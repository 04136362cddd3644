package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Passwords, one's own account, and what of it stands in the log. */
@ExtendWith(Application.class)
class AccountTests {
  private static final String OLD = "the first secret of many";
  private static final String NEW = "another secret in the van";

  @ParameterizedTest
  @CsvSource({
    "short1!, at least 10",
    "password1234, among the first",
    "aaaaaaaaaaaaaa, among the first",
    "newcomer01, among the first",
    "1234567890123456789012345678901234567890123456789012345678901234567890123, 72"
  })
  void aPasswordThatIsGuessedIsRefused(
      String password, String expected, Application.Running application) {
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    Http.Answer answer =
        lead.post(
            "/accounts",
            Map.of("login", "newcomer", "name", "New", "role", "technician", "password", password));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text())
        .contains("password-problem")
        .contains(expected)
        .doesNotContain(password);
  }

  @Test
  void changingOnesPasswordNeedsThePresentOneAndEndsOtherSessions(Application.Running application) {
    application.bean(AccountService.class).put("changes", "Changes", OLD, Role.TECHNICIAN);
    Http here = Http.signedIn(application.address(), "changes", OLD);
    Http elsewhere = Http.signedIn(application.address(), "changes", OLD);
    assertThat(
            here.post("/account/password", Map.of("password", "wrong", "newPassword", NEW))
                .status())
        .isEqualTo(422);
    assertThat(elsewhere.get("/").status()).isEqualTo(200);
    assertThat(here.post("/account/password", Map.of("password", OLD, "newPassword", NEW)).status())
        .isEqualTo(302);
    assertThat(here.get("/").status()).as("goes on here").isEqualTo(200);
    assertThat(elsewhere.get("/").toSignIn()).as("ended elsewhere").isTrue();
    assertThat(new Http(application.address()).signIn("changes", OLD).location())
        .endsWith("?error");
    Http again = Http.signedIn(application.address(), "changes", NEW);
    here.post("/account/sign-out-elsewhere", Map.of());
    assertThat(again.get("/").toSignIn()).isTrue();
  }

  /** At an open screen a password is guessed at as slowly as at the door. */
  @Test
  void thePresentPasswordIsNotGuessedAt(Application.Running application) {
    application.bean(AccountService.class).put("guessing", "Guessing", OLD, Role.TECHNICIAN);
    Http here = Http.signedIn(application.address(), "guessing", OLD);
    for (int i = 0; i < 5; i++) {
      assertThat(here.post("/account/second-factor/begin", Map.of("password", "wrong " + i)).text())
          .contains("not your present password");
    }
    Http.Answer sixth = here.post("/account/second-factor/begin", Map.of("password", OLD));
    assertThat(sixth.status()).isEqualTo(422);
    assertThat(sixth.text()).contains("Too many wrong passwords");
    assertThat(here.post("/account/password", Map.of("password", OLD, "newPassword", NEW)).status())
        .isEqualTo(422);
  }

  @Test
  void aLeadHelpsWhoForgotThePassword(Application.Running application) {
    application.bean(AccountService.class).put("forgot", "Forgot", OLD, Role.SERVICE_DESK);
    Http open = Http.signedIn(application.address(), "forgot", OLD);
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    String id = lead.get("/accounts").find("/accounts/([0-9a-f-]{36})\">forgot<");
    String version = lead.get("/accounts/" + id).find("name=\"version\" value=\"(\\d+)\"");
    Map<String, String> form =
        Map.of(
            "name",
            "Forgot",
            "role",
            "service-desk",
            "enabled",
            "true",
            "password",
            NEW,
            "version",
            version);
    assertThat(lead.post("/accounts/" + id, form).status()).isEqualTo(302);
    assertThat(open.get("/").toSignIn()).as("old sessions ended").isTrue();
    assertThat(Http.signedIn(application.address(), "forgot", NEW).get("/").status())
        .isEqualTo(200);
    Http.Answer again = lead.post("/accounts/" + id, form);
    assertThat(again.status()).as("an older version overwrites nothing").isEqualTo(422);
    assertThat(again.text()).contains("Someone else changed this");
  }

  @Test
  void theLogTellsAccountsByIdentifierAndNothingThatWasTyped(Application.Running application) {
    application.bean(AccountService.class).put("logged", "Very Personal", OLD, Role.TECHNICIAN);
    ListAppender<ILoggingEvent> log = new ListAppender<>();
    Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    log.start();
    root.addAppender(log);
    try {
      Http http = new Http(application.address());
      http.signIn("logged", "mistyped secret");
      http.signIn("my password by mistake", "logged");
      http.signIn("logged", OLD);
      http.get("/accounts");
      http.post("/sign-out", Map.of());
    } finally {
      root.detachAppender(log);
    }
    String text =
        log.list.stream().map(ILoggingEvent::getFormattedMessage).collect(Collectors.joining("\n"));
    assertThat(text)
        .containsPattern("sign-in refused: account [0-9a-f-]{36}, BadCredentials")
        .contains("sign-in refused: account unknown")
        .containsPattern("signed in: account [0-9a-f-]{36}")
        .containsPattern("refused: account [0-9a-f-]{36}, GET /accounts")
        .containsPattern("signed out: account [0-9a-f-]{36}")
        .doesNotContain("logged")
        .doesNotContain("Personal")
        .doesNotContain("secret")
        .doesNotContain("mistake")
        .doesNotContain("127.0.0.1");
  }

  /** Five are five, and a lock that has passed begins the count anew. */
  @Test
  void fiveWrongPasswordsLockAndFourDoNot(Application.Running application) {
    application.bean(AccountService.class).put("counted", "Counted", OLD, Role.TECHNICIAN);
    wrong(application, 4);
    assertThat(enters(application)).as("four are not five").isTrue();
    wrong(application, 5);
    assertThat(enters(application)).isFalse();
    application
        .bean(JdbcTemplate.class)
        .update(
            "update sign_in_try set locked_until = '2020-01-01', wrong_at = '2020-01-01'"
                + " where login = 'counted'");
    wrong(application, 4);
    assertThat(enters(application)).as("counted anew").isTrue();
    assertThat(seconds(application, 5)).isBetween(1L, 60L);
    assertThat(seconds(application, 7)).as("longer each time").isBetween(181L, 240L);
    assertThat(seconds(application, 60)).as("and never longer than").isBetween(3500L, 3600L);
  }

  /** How long a name must wait after so many wrong tries (s). */
  private static long seconds(Application.Running application, int tries) {
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    database.update(
        "replace into sign_in_try (login, address, wrong, wrong_at) values ('counted', '127.0.0.1', ?, utc_timestamp(6))",
        tries - 1);
    wrong(application, 1);
    Long left =
        database.queryForObject(
            "select timestampdiff(second, utc_timestamp(6), locked_until) from sign_in_try"
                + " where login = 'counted' and address = '127.0.0.1'",
            Long.class);
    return left == null ? 0 : left;
  }

  @Test
  void oneOfOnesSessionsIsEndedAndTheOthersStay(Application.Running application) {
    application.bean(AccountService.class).put("several", "Several", OLD, Role.TECHNICIAN);
    Http here = Http.signedIn(application.address(), "several", OLD);
    Http there = Http.signedIn(application.address(), "several", OLD);
    Http other = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String page = here.get("/account").text();
    assertThat(page).contains("Elsewhere").doesNotContain("SESSION");
    assertThat(page.split("name=\"key\"")).as("all but this one").hasSize(2);
    String key = here.get("/account").find("name=\"key\" value=\"([0-9a-f]{24})\"");
    assertThat(other.post("/account/sessions/end", Map.of("key", key)).status()).isEqualTo(302);
    assertThat(there.get("/account").status()).as("not another's").isEqualTo(200);
    assertThat(here.post("/account/sessions/end", Map.of("key", key)).status()).isEqualTo(302);
    assertThat(there.get("/account").toSignIn()).isTrue();
    assertThat(here.get("/account").status()).isEqualTo(200);
  }

  /** Whoever types a colleague's name wrong from elsewhere keeps no one out. */
  @Test
  void wrongTriesElsewhereLockNobodyOutHere(Application.Running application) {
    application.bean(AccountService.class).put("neighbour", "Neighbour", OLD, Role.TECHNICIAN);
    application
        .bean(JdbcTemplate.class)
        .update(
            "replace into sign_in_try (login, address, wrong, wrong_at, locked_until) values"
                + " ('neighbour', '10.0.0.9', 9, utc_timestamp(6), utc_timestamp(6) + interval 1 hour)");
    assertThat(new Http(application.address()).signIn("neighbour", OLD).location())
        .doesNotEndWith("?error");
  }

  private static void wrong(Application.Running application, int times) {
    for (int i = 0; i < times; i++) {
      new Http(application.address()).signIn("counted", "wrong " + i);
    }
  }

  private static boolean enters(Application.Running application) {
    Http http = new Http(application.address());
    return !http.signIn("counted", OLD).location().endsWith("?error");
  }

  @Test
  void somebodyAlwaysLeads(Application.Running application) {
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    AccountService accounts = application.bean(AccountService.class);
    TransactionTemplate once =
        new TransactionTemplate(application.bean(PlatformTransactionManager.class));
    once.executeWithoutResult(
        status -> {
          database.update("update account set enabled = false where login <> 'lead'");
          UUID lead =
              UUID.fromString(
                  database.queryForObject(
                      "select id from account where login = 'lead'", String.class));
          int version =
              database.queryForObject(
                  "select version from account where login = 'lead'", Integer.class);
          assertThatThrownBy(
                  () -> accounts.change(lead, "Lead", Role.TECHNICIAN, true, "", version))
              .extracting(e -> e.getClass().getSimpleName())
              .isEqualTo("LastLead");
          assertThatThrownBy(() -> accounts.change(lead, "Lead", Role.LEAD, false, "", version))
              .extracting(e -> e.getClass().getSimpleName())
              .isEqualTo("LastLead");
          status.setRollbackOnly();
        });
  }
}
