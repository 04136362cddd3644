package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * A workshop of its own from its first account on, whose database is full, gone, and put back from
 * a backup, while the application runs on.
 */
class StorageTroubleTests {
  private static final Path FOLDER = Path.of("target", "trouble-database").toAbsolutePath();
  private static final String PORT = "25160";

  /** All tables in one file, whose growth a test can stop; the log too small to meet that limit. */
  private static final String[] SMALL_DISK = {
    "--innodb-file-per-table=0", "--innodb-log-file-size=8M"
  };

  private static Server server;
  private static Http lead;

  @BeforeAll
  static void start() {
    Script.run("database", "stop", FOLDER.toString());
    Script.delete(FOLDER);
    startDatabase();
    Map<String, String> settings = new HashMap<>(Server.database(FOLDER));
    settings.put("GOTERA_FIRST_ACCOUNT_CODE", Server.CODE);
    server = Server.start("trouble", settings);
    lead = server.firstAccount();
  }

  @AfterAll
  static void stop() {
    server.close();
    Script.run("database", "stop", FOLDER.toString());
  }

  private static void startDatabase() {
    String[] arguments = {"start", FOLDER.toString(), PORT, SMALL_DISK[0], SMALL_DISK[1]};
    Script.run("database", arguments);
  }

  @Test
  void theFirstAccountLeadsAndIsTheOnlyOneMadeSo() {
    assertThat(lead.get("/accounts").text()).contains(Server.LEAD).contains("lead");
    Http other = new Http(server.address());
    assertThat(other.get("/first-account").status()).isEqualTo(404);
    other.get("/sign-in");
    assertThat(
            other
                .post(
                    "/first-account",
                    Map.of(
                        "code",
                        Server.CODE,
                        "login",
                        "second",
                        "name",
                        "Second",
                        "password",
                        Server.PASSWORD))
                .status())
        .isEqualTo(404);
  }

  @Test
  void aFullDiskIsSaidAndOverAsSoonAsThereIsRoom() throws SQLException, IOException {
    Http.Begun begun = lead.begin();
    assertThat(reading(begun, "50").status()).isEqualTo(302);
    try (Connection connection = Server.connect(FOLDER);
        Statement sql = connection.createStatement()) {
      sql.execute("create table ballast (id int auto_increment primary key, filling longblob)");
      diskEndsAt(Files.size(FOLDER.resolve("data/ibdata1")) + (1 << 20));
      int kept = 1;
      Http.Answer refused = null;
      try {
        fill(sql);
        for (int i = 0; i < 3000 && refused == null; i++) {
          Http.Answer answer = reading(begun, "5" + i % 10);
          if (answer.status() == 302) {
            kept++;
          } else {
            refused = answer;
          }
        }
      } finally {
        diskEndsAt(-1);
      }
      assertThat(refused).as("an entry was refused").isNotNull();
      assertThat(refused.status()).isEqualTo(507);
      assertThat(refused.header("Gotera-Refusal")).isEqualTo("disk");
      assertThat(refused.text())
          .contains("disk is full", "Nothing of this entry was kept")
          .doesNotContain("Exception");
      assertThat(readings(sql, begun)).as("nothing half kept").isEqualTo(kept);
      server.until("it goes on by itself", () -> reading(begun, "61").status() == 302);
      assertThat(readings(sql, begun)).isEqualTo(kept + 1);
      sql.execute("drop table ballast");
    }
  }

  /** From here on the database can write no file beyond this size (bytes); -1 for any. */
  private static void diskEndsAt(long bytes) throws IOException {
    String limit = bytes < 0 ? "unlimited" : Long.toString(bytes);
    Process prlimit =
        new ProcessBuilder(
                "prlimit", "--pid", Script.read(FOLDER.resolve("pid")), "--fsize=" + limit + ":")
            .inheritIO()
            .start();
    try {
      assertThat(prlimit.waitFor()).isZero();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static void fill(Statement sql) throws SQLException {
    // ever smaller pieces, until not one more fits
    for (int bytes = 1 << 20; bytes > 1000; ) {
      try {
        sql.execute("insert into ballast (filling) values (repeat('x', " + bytes + "))");
      } catch (SQLException full) {
        assertThat(full.getErrorCode()).as(full.getMessage()).isEqualTo(1114);
        bytes /= 4;
      }
    }
  }

  private static int readings(Statement sql, Http.Begun begun) throws SQLException {
    try (var rows =
        sql.executeQuery(
            "select count(*) from trace_block where pressure_test_id = '" + begun.test() + "'")) {
      rows.next();
      return rows.getInt(1);
    }
  }

  /** A gauge at a test. */
  private static String gauge(Http.Begun begun) {
    lead.post("/tests/" + begun.test() + "/gauges/code", Map.of());
    String gauges = "/tests/" + begun.test() + "/gauges";
    String code = lead.get(gauges).find("gauge-code\">([A-Z2-7]{4} [A-Z2-7]{4})<");
    GaugeTests.pair(server.address(), code);
    return lead.get(gauges).find("/gauges/([0-9a-f-]{36})/leave");
  }

  private static Http.Answer reading(Http.Begun begun, String kilopascals) {
    return lead.post("/tests/" + begun.test() + "/readings", Map.of("gauge", kilopascals));
  }

  @Test
  void aDatabaseThatIsGoneIsSaidAndItsReturnNoticed() {
    Http.Begun begun = lead.begin();
    Script.run("database", "stop", FOLDER.toString());
    try {
      Http.Answer refused = reading(begun, "50");
      assertThat(refused.status()).isEqualTo(503);
      assertThat(refused.header("Gotera-Refusal")).isEqualTo("database");
      assertThat(refused.header("Retry-After")).isNotEmpty();
      assertThat(refused.text()).contains("The database does not answer");
      assertThat(lead.get("/").status()).isEqualTo(503);
      assertThat(server.readiness()).isEqualTo(503);
      // a watcher does not start anew what is not to blame
      Http watcher = new Http(server.address());
      assertThat(watcher.get("/actuator/health/liveness").status()).isEqualTo(200);
    } finally {
      startDatabase();
    }
    server.until("it goes on by itself", () -> server.readiness() == 200);
    assertThat(reading(begun, "50").status()).as("with the same session").isEqualTo(302);
  }

  @Test
  void aBackupIsRestoredWhileItRuns() throws IOException {
    Http.Begun before = lead.begin();
    reading(before, "71");
    Http.Begun gauged = lead.begin();
    String gauge = gauge(gauged);
    Path backup = Path.of("target", "drill.sql.gz").toAbsolutePath();
    Files.deleteIfExists(backup);
    assertThat(script("backup", backup.toString()).said()).contains("Kept in");
    Http.Begun after = lead.begin();
    reading(before, "66");
    lead.post("/tests/" + gauged.test() + "/gauges/" + gauge + "/withdraw", Map.of());
    assertThat(lead.get(before.job() + "/history").text()).contains("66 kPa");

    Script.Ended restored = script("restore", backup.toString());
    assertThat(restored.status()).as(restored.said()).isZero();
    assertThat(restored.said()).contains("What was there before is in the schema gotera_before_");
    assertThat(lead.get(after.job() + "/intake").status()).as("begun after").isEqualTo(404);
    assertThat(lead.get(before.job() + "/pressure-test").text())
        .contains("71.0")
        .doesNotContain("66.0");
    assertThat(reading(before, "70").status()).as("work goes on").isEqualTo(302);
    assertThat(lead.get("/tests/" + gauged.test() + "/gauges").text())
        .as("withdrawn after the backup")
        .doesNotContain(gauge);
    Http again = Http.signedIn(server.address(), Server.LEAD, Server.PASSWORD);
    assertThat(again.get("/").status()).isEqualTo(200);
  }

  /** Who lost the key since the backup does not get it back by the backup. */
  @Test
  void whatWasWithdrawnSinceTheBackupStaysSo() throws IOException, SQLException {
    Http.Begun begun = lead.begin();
    lead.post(begun.job() + "/report-links", Map.of());
    String link = lead.get(begun.job() + "/hand-over").find("(https?://[^<\"]+/report/[^<\"]+)");
    String withdraw =
        lead.get(begun.job() + "/hand-over")
            .find("action=\"(/jobs/[^\"]+/report-links/[^\"]+/withdraw)\"");
    account("leaves", "leaves the workshop soon");
    account("changes", "wet gloves in the rain");
    Path backup = Path.of("target", "withdrawn.sql.gz").toAbsolutePath();
    Files.deleteIfExists(backup);
    script("backup", backup.toString());
    lead.post(withdraw, Map.of());
    account("comes-later", "a new face in the bay");
    Http changes = Http.signedIn(server.address(), "changes", "wet gloves in the rain");
    changes.post(
        "/account/password",
        Map.of("password", "wet gloves in the rain", "newPassword", "dry gloves in the sun"));
    String id = lead.get("/accounts").find("/accounts/([0-9a-f-]{36})\">leaves<");
    String version = lead.get("/accounts/" + id).find("name=\"version\" value=\"(\\d+)\"");
    lead.post(
        "/accounts/" + id,
        Map.of(
            "name",
            "Leaves",
            "role",
            "technician",
            "enabled",
            "false",
            "password",
            "",
            "version",
            version));

    Script.Ended restored = script("restore", backup.toString());
    assertThat(restored.status()).as(restored.said()).isZero();
    assertThat(restored.said()).contains("were made since the backup").contains("comes-later");
    assertThat(new Http(server.address()).get(link).status()).as("withdrawn").isEqualTo(404);
    assertThat(new Http(server.address()).signIn("leaves", "leaves the workshop soon").location())
        .endsWith("?error");
    assertThat(new Http(server.address()).signIn("changes", "wet gloves in the rain").location())
        .as("the password of the backup")
        .endsWith("?error");
    assertThat(changes.get("/").status()).as("goes on").isEqualTo(200);
    Http.signedIn(server.address(), "changes", "dry gloves in the sun");
  }

  private static void account(String login, String password) {
    lead.post(
        "/accounts",
        Map.of("login", login, "name", login, "role", "technician", "password", password));
  }

  /** A backup of an older Gotera, put back while this one runs: every page opens at once. */
  @Test
  void anOlderBackupIsBroughtUpToDateBeforeItIsShown() throws IOException {
    Path mine = Path.of("target", "mine.sql.gz").toAbsolutePath();
    Files.deleteIfExists(mine);
    script("backup", mine.toString());
    Path older = Path.of("src/test/resources/gotera/web/stored/demo-1.sql.gz").toAbsolutePath();
    Map<String, String> settings = new HashMap<>(Server.database(FOLDER));
    settings.put("GOTERA_CLASS_PATH", Server.classPath());
    Script.Ended restored = Script.end(settings, "restore", older.toString());
    try {
      assertThat(restored.status()).as(restored.said()).isZero();
      assertThat(restored.said()).contains("brought up to date first");
      assertThat(new Http(server.address()).get("/sign-in").status()).isEqualTo(200);
      assertThat(lead.get("/").toSignIn()).as("nobody of another workshop stays").isTrue();
    } finally {
      assertThat(script("restore", mine.toString()).status()).isZero();
    }
    lead = Http.signedIn(server.address(), Server.LEAD, Server.PASSWORD);
    assertThat(lead.get("/").status()).isEqualTo(200);
  }

  @Test
  void whatIsNoWholeBackupChangesNothing() throws IOException {
    Path backup = Path.of("target", "whole.sql.gz").toAbsolutePath();
    Files.deleteIfExists(backup);
    script("backup", backup.toString());
    byte[] whole = Files.readAllBytes(backup);
    Path cut = Path.of("target", "cut.sql.gz").toAbsolutePath();
    Files.write(cut, java.util.Arrays.copyOf(whole, whole.length / 2));
    Script.Ended refused = script("restore", cut.toString());
    assertThat(refused.status()).isEqualTo(1);
    assertThat(refused.said()).contains("is not a whole backup").contains("Nothing was changed");
    String table = "create table elsewhere (id int);\n";
    assertThat(restored(table).said()).contains("its first line is another");
    String ours = "/*M!999999\\- enable the sandbox mode */ \n";
    assertThat(restored(ours + table).said()).contains("never writes");
    String other = "CREATE TABLE `elsewhere` (\n  `id` int(11)\n) ENGINE=InnoDB;\n";
    assertThat(restored(ours + other).said()).contains("is not a backup of Gotera");
    for (String statement :
        new String[] {
          "DROP TABLE IF EXISTS `gotera`.`job`;",
          "INSERT INTO `job` VALUES (1,'a'); drop table job;",
          "/*!40101 SET PASSWORD='x' */;",
          "INSERT INTO `job` VALUES (load_file('/etc/passwd'));",
          "rename table `job` to `gone`;"
        }) {
      Script.Ended foreign = restored(ours + other + statement + "\n");
      assertThat(foreign.status()).as(statement).isEqualTo(1);
      assertThat(foreign.said()).contains("never writes").contains("Nothing of it was run");
    }
    Path done = Path.of("target", "a-command-was-run").toAbsolutePath();
    Files.deleteIfExists(done);
    assertThat(restored(ours + "\\! touch " + done + "\n" + table).status()).isEqualTo(1);
    assertThat(done).as("a command in a backup's file").doesNotExist();
    assertThat(script("backup", backup.toString()).said()).contains("There is a file");
    assertThat(lead.get("/").status()).isEqualTo(200);
  }

  /** A file that ends as a backup does. */
  private static Script.Ended restored(String text) throws IOException {
    Path other = Path.of("target", "other.sql.gz").toAbsolutePath();
    try (var gzip = new java.util.zip.GZIPOutputStream(Files.newOutputStream(other))) {
      gzip.write((text + "-- Dump completed\n").getBytes(StandardCharsets.UTF_8));
    }
    return script("restore", other.toString());
  }

  private static Script.Ended script(String name, String argument) {
    return Script.end(Server.database(FOLDER), name, argument);
  }
}
