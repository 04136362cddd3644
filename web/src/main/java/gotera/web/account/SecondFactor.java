package gotera.web.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import gotera.web.storage.Hashes;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The second factor of an account: a code of six digits that a telephone makes anew every half
 * minute (RFC 6238), or a recovery code that opens once.
 */
@Service
class SecondFactor {
  private static final int SECRET_BYTES = 20;
  private static final int RECOVERY_CODES = 10;
  private static final int RECOVERY_BYTES = 5;

  /** A clock may be so many steps of half a minute off (RFC 6238, 5.2, allows one). */
  private static final int STEPS_OFF = 1;

  private final JdbcTemplate database;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();

  SecondFactor(JdbcTemplate database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * What stands of an account.
   *
   * @param since when it was set up
   * @param recoveryCodes how many recovery codes are left
   */
  record State(Instant since, int recoveryCodes) {}

  /** What stands of an account; empty where it has none. */
  Optional<State> of(String login) {
    return database
        .query(
            "select a.second_factor_at, (select count(*) from recovery_code r"
                + " where r.account_id = a.id and r.used_at is null)"
                + " from account a where a.login = ? and a.second_factor is not null",
            (row, n) -> new State(row.getTimestamp(1).toInstant(), row.getInt(2)),
            login)
        .stream()
        .findFirst();
  }

  /** A new secret (base 32), not kept yet. */
  String secret() {
    byte[] secret = new byte[SECRET_BYTES];
    random.nextBytes(secret);
    return new Base32().encodeToString(secret);
  }

  /** What a telephone reads a secret from. */
  static String address(String login, String secret) {
    return "otpauth://totp/Gotera:" + login + "?secret=" + secret + "&issuer=Gotera";
  }

  /**
   * Keeps a secret, if the code shows that a telephone makes codes of it.
   *
   * @return the recovery codes, shown once; empty where the code is none of the secret's
   */
  @Transactional
  public List<String> keep(String login, String secret, String code) {
    OptionalLong step = step(secret, code);
    if (step.isEmpty()) {
      return List.of();
    }
    database.update(
        "update account set second_factor = ?, second_factor_at = ?, second_factor_step = ?"
            + " where login = ?",
        secret,
        Timestamp.from(clock.instant()),
        step.getAsLong(),
        login);
    return newRecoveryCodes(login);
  }

  private List<String> newRecoveryCodes(String login) {
    database.update(
        "delete from recovery_code where account_id = (select id from account where login = ?)",
        login);
    List<String> all = new ArrayList<>();
    for (int i = 0; i < RECOVERY_CODES; i++) {
      byte[] bytes = new byte[RECOVERY_BYTES];
      random.nextBytes(bytes);
      String code = new Base32().encodeToString(bytes).toLowerCase(Locale.ROOT);
      all.add(code.substring(0, 4) + "-" + code.substring(4));
      database.update(
          "insert into recovery_code (account_id, code_sha256)"
              + " select id, ? from account where login = ?",
          hash(code),
          login);
    }
    return all;
  }

  /** Takes it away. */
  @Transactional
  public void remove(String login) {
    database.update(
        "delete from recovery_code where account_id = (select id from account where login = ?)",
        login);
    database.update(
        "update account set second_factor = null, second_factor_at = null where login = ?", login);
  }

  /**
   * Whether an account may enter with a code: it has no second factor, or the code is right and was
   * not taken before.
   */
  @Transactional
  public boolean passes(String login, String code) {
    Optional<String> secret =
        database
            .query(
                "select second_factor from account where login = ? and second_factor is not null",
                (row, n) -> row.getString(1),
                login)
            .stream()
            .findFirst();
    if (secret.isEmpty()) {
      return true;
    }
    String typed = code.toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]", "");
    OptionalLong step = step(secret.get(), typed);
    // whoever looked over a shoulder comes too late: a code, and each before it, opens once
    return step.isPresent()
            && database.update(
                    "update account set second_factor_step = ? where login = ?"
                        + " and second_factor_step < ?",
                    step.getAsLong(),
                    login,
                    step.getAsLong())
                == 1
        || recovered(login, typed);
  }

  private boolean recovered(String login, String typed) {
    return database.update(
            "update recovery_code set used_at = ? where used_at is null and code_sha256 = ?"
                + " and account_id = (select id from account where login = ?)",
            Timestamp.from(clock.instant()),
            hash(typed),
            login)
        == 1;
  }

  /** The step of time whose code this is. */
  private OptionalLong step(String secret, String code) {
    SecretKeySpec key = new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm());
    try {
      for (int off = -STEPS_OFF; off <= STEPS_OFF; off++) {
        Instant at = clock.instant().plus(codes.getTimeStep().multipliedBy(off));
        if (codes.generateOneTimePasswordString(key, at).equals(code)) {
          return OptionalLong.of(at.getEpochSecond() / codes.getTimeStep().toSeconds());
        }
      }
      return OptionalLong.empty();
    } catch (InvalidKeyException e) {
      throw new IllegalStateException("the secret of a second factor is none", e);
    }
  }

  private static String hash(String code) {
    return HexFormat.of().formatHex(Hashes.sha256().digest(code.getBytes(StandardCharsets.UTF_8)));
  }
}
