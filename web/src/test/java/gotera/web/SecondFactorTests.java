package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.microsoft.playwright.Page;
import gotera.web.Bench.Hand;
import gotera.web.account.AccountService;
import gotera.web.account.Role;
import java.security.InvalidKeyException;
import java.time.Instant;
import java.util.List;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Signing in with a code, set up at the screen; and with a recovery code where the telephone is
 * lost.
 */
@ExtendWith(Application.class)
class SecondFactorTests {
  private static final String PASSWORD = "wet gloves at the van";

  private static String code(String secret, int stepsOn) {
    TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
    try {
      return codes.generateOneTimePasswordString(
          new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()),
          Instant.now().plus(codes.getTimeStep().multipliedBy(stepsOn)));
    } catch (InvalidKeyException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void signIn(Page page, String login, String code) {
    page.fill("#username", login);
    page.fill("#password", PASSWORD);
    page.fill("#code", code);
    page.press("#code", "Enter");
  }

  @Test
  void aCodeIsAskedForOnceItIsSetUpAndARecoveryCodeOpensOnce(Application.Running application) {
    application.bean(AccountService.class).put("twofold", "Twofold", PASSWORD, Role.TECHNICIAN);
    JdbcTemplate database = application.bean(JdbcTemplate.class);
    String secret;
    List<String> recovery;
    try (Bench bench = Bench.stranger(application, "/sign-in").by(Hand.KEYBOARD)) {
      signIn(bench.page, "twofold", "");
      bench.page.locator(".top").waitFor();
      bench.open("/account");
      bench.click("Second factor");
      bench.fill("Present password", "somebody else's");
      bench.click("Set it up");
      bench.shows("#password-problem", "not your present password");
      bench.fill("Present password", PASSWORD);
      bench.click("Set it up");
      secret = bench.text("#secret").replace(" ", "");
      bench.fill("Code", "000 000");
      bench.click("Save it");
      bench.shows("#code-problem", "not the code shown now");
      assertThat(bench.text("#secret").replace(" ", "")).as("the same key").isEqualTo(secret);
      String used = code(secret, 0);
      bench.fill("Code", used);
      bench.click("Save it");
      bench.shows("#set", "Recovery codes left: 10");
      recovery = bench.page.locator("#recovery code").allInnerTexts();
      assertThat(recovery).hasSize(10);
      bench.open("/account/second-factor");
      bench.counts("#recovery", 0);
      bench.open("/account");
      bench.use(bench.button("Sign out here"));
      bench.page.locator("#username").waitFor();
      signIn(bench.page, "twofold", "");
      bench.shows(".wrong-form", "the code is not right");
      signIn(bench.page, "twofold", used);
      bench.shows(".wrong-form", "the code is not right");
      signIn(bench.page, "twofold", code(secret, 1));
      bench.page.locator(".top").waitFor();
      bench.open("/account");
      bench.use(bench.button("Sign out here"));
      bench.page.locator("#username").waitFor();
      signIn(bench.page, "twofold", recovery.get(3).toUpperCase(java.util.Locale.ROOT));
      bench.page.locator(".top").waitFor();
      bench.open("/account/second-factor");
      bench.shows("#set", "Recovery codes left: 9");
      bench.open("/account");
      bench.use(bench.button("Sign out here"));
      bench.page.locator("#username").waitFor();
      signIn(bench.page, "twofold", recovery.get(3));
      bench.shows(".wrong-form", "the code is not right");
      signIn(bench.page, "twofold", recovery.get(4));
      bench.page.locator(".top").waitFor();
      bench.open("/account/second-factor");
      bench.fill("Present password", "another one");
      bench.click("Take it away");
      bench.counts(".field-wrong", 1);
      bench.fill("Present password", PASSWORD);
      bench.click("Take it away");
      bench.shows(".empty", "It is not set up");
    }
    assertThat(
            database.queryForObject(
                "select count(*) from recovery_code r join account a on a.id = r.account_id"
                    + " where a.login = 'twofold'",
                Integer.class))
        .isZero();
  }
}
