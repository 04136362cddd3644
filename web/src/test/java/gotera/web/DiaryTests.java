package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** The owner's diary of the level: by link, without an account, and back into the job. */
@ExtendWith(Application.class)
class DiaryTests {
  private Http desk;
  private Http http;
  private Http owner;
  private String job;
  private JdbcTemplate database;

  @BeforeEach
  void begin(Application.Running application) {
    http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    desk = Http.signedIn(application.address(), "desk", Application.PASSWORD);
    owner = new Http(application.address());
    database = application.bean(JdbcTemplate.class);
    Http.Answer begun =
        http.post("/jobs/new", Map.of("vehicle", "Sill 14", "liquid", "8 L", "version", "0"));
    job = begun.location().replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private void mark(String level, String hours) {
    Map<String, String> typed =
        Map.of("tankArea", "80", "levelNow", level, "hotSince", hours, "temperature", "15 C");
    assertThat(http.post(job + "/level-watch", typed).status()).isEqualTo(302);
  }

  private String link() {
    assertThat(desk.post(job + "/diary-links", Map.of()).status()).isEqualTo(302);
    String shown = desk.get(job + "/level-watch").find("(https?://[^<\"]+/diary/[^<\"]+)");
    return shown.replaceAll("^https?://[^/]+", "");
  }

  private Http.Answer write(String link, String level, String km) {
    owner.get(link);
    return owner.postFile(
        link, Map.of("levelNow", level, "distance", km, "toppedUp", ""), "photo", new byte[0]);
  }

  @Test
  void whatTheOwnerWritesIsAMarkOfTheJob() {
    assertThat(desk.post(job + "/diary-links", Map.of()).status()).isEqualTo(302);
    assertThat(desk.get(job + "/level-watch").text()).contains("Keep the first mark here");
    mark("0", "0");
    String link = link();
    assertThat(owner.get(link).text()).contains("Sill 14").doesNotContain("/jobs/");
    assertThat(owner.get(link).header("Cache-Control")).contains("no-store");
    Http.Answer wrong = write(link, "a bit", "900");
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.text())
        .contains("levelNow-problem")
        .contains("value=\"a bit\"")
        .contains("900");
    assertThat(write(link, "-1", "").text()).contains("distance-problem");
    assertThat(write(link, "-1", "900").status()).isEqualTo(302);
    assertThat(owner.get(link).text()).contains("900 km");
    // 900 km at 45 km/h are 20 hours hot
    assertThat(http.get(job + "/level-watch").text()).contains("owner").contains("20 h");
    assertThat(http.get(job + "/history").text()).contains("Level mark: \u22121.0 mm, 20 h hot");
    String stop = desk.get(job + "/level-watch").find("(/jobs/[^\"]+/diary-links/[^\"]+/withdraw)");
    assertThat(desk.post(stop, Map.of()).status()).isEqualTo(302);
    assertThat(owner.get(link).status()).isEqualTo(404);
    assertThat(write(link, "0", "50").status()).isEqualTo(404);
  }

  @Test
  void aLevelThatFallsLaterOpensTheJobAgain() {
    http.post(
        job + "/find", Map.of("joint", "pump.gasket", "saw", "wet", "state", "cold-pressure"));
    http.post(job + "/repair", Map.of("joint", "pump.gasket", "note", "new"));
    mark("0", "0");
    String link = link();
    assertThat(http.post(job + "/close", Map.of("ending", "provisional")).status()).isEqualTo(302);
    assertThat(write(link, "0", "900").status()).isEqualTo(302);
    assertThat(closed()).as("it stands").isTrue();
    assertThat(write(link, "-40", "900").status()).isEqualTo(302);
    assertThat(closed()).as("it fell by 40 mm").isFalse();
    assertThat(http.get("/?q=Sill+14").text()).contains(job);
  }

  /** What was written is answered, and a slip is taken back by whoever made it. */
  @Test
  void theOwnerIsAnsweredAndTakesASlipBack() {
    mark("0", "0");
    String link = link();
    assertThat(owner.get(link).text())
        .contains("Write the level down again tomorrow")
        .doesNotContain("Take my last entry back");
    write(link, "-20", "900");
    assertThat(owner.get(link).text()).contains("The level falls").contains("call the workshop");
    assertThat(http.get(job + "/level-watch").text())
        .contains("The level falls")
        .doesNotContain("At most");
    assertThat(owner.post(link + "/undo", Map.of()).status()).isEqualTo(302);
    assertThat(owner.get(link).text()).doesNotContain("The level falls");
    assertThat(owner.post(link + "/undo", Map.of()).status()).as("once more").isEqualTo(302);
    assertThat(owner.get(link).text()).as("the workshop's mark stays").contains("0 mm");
  }

  /** Parked over night: no hour hot, and a bound over all hours all the same. */
  @Test
  void aMarkAfterANightIsAMark() {
    mark("0", "0");
    database.update(
        "update level_mark set read_at = read_at - interval 12 hour where job_id = ?",
        job.replace("/jobs/", ""));
    mark("0", "0");
    assertThat(http.get(job + "/level-watch").text())
        .contains("It only stood since")
        .contains("over all hours");
  }

  /** A day without a time is not before what was read on that day already. */
  @Test
  void anEntryOfTodayIsAfterTheMarkOfToday() {
    mark("0", "0");
    String link = link();
    owner.get(link);
    owner.postFile(
        link,
        Map.of(
            "levelNow",
            "-20",
            "distance",
            "900",
            "toppedUp",
            "",
            "readOn",
            LocalDate.now().toString()),
        "photo",
        new byte[0]);
    assertThat(owner.get(link).text()).contains("The level falls");
  }

  /** A link takes so many entries in a day, and no photograph more. */
  @Test
  void aLinkTakesWhatAnOwnerWrites() {
    mark("0", "0");
    String link = link();
    for (int i = 0; i < 20; i++) {
      assertThat(write(link, "-1", "900").status()).as("entry " + i).isEqualTo(302);
    }
    Http.Answer enough = write(link, "-1", "900");
    assertThat(enough.status()).isEqualTo(422);
    assertThat(enough.text()).contains("taken 20 entries").contains("value=\"-1\"");
    String id = job.replace("/jobs/", "");
    database.update(
        "update level_mark set written_at = written_at - interval 25 hour where job_id = ?", id);
    assertThat(write(link, "-1", "900").status()).as("a day later").isEqualTo(302);
  }

  private boolean closed() {
    return database.queryForObject(
            "select count(*) from job where id = ? and closed_at is not null",
            Integer.class,
            job.replace("/jobs/", ""))
        == 1;
  }

  /** A stranger with a link, or without, gets no further. */
  @Test
  void hostileEntriesAreRefused() {
    mark("0", "0");
    String link = link();
    String tomorrow = LocalDate.now().plusDays(2).toString();
    owner.get(link);
    assertThat(
            owner
                .postFile(
                    link,
                    Map.of("levelNow", "0", "distance", "90", "readOn", tomorrow),
                    "photo",
                    new byte[0])
                .status())
        .isEqualTo(422);
    assertThat(
            owner
                .postFile(
                    link,
                    Map.of("levelNow", "0", "distance", "90"),
                    "photo",
                    "no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8))
                .text())
        .contains("wrong");
    owner.get(link);
    assertThat(
            owner
                .postFile(
                    link, Map.of("levelNow", "0", "distance", "90"), "photo", new byte[14 << 20])
                .status())
        .isEqualTo(413);
    String written = link.replace("/diary/", "/%64iary/");
    assertThat(
            owner
                .postFile(
                    written, Map.of("levelNow", "0", "distance", "90"), "photo", new byte[14 << 20])
                .status())
        .as("written another way")
        .isEqualTo(413);
    assertThat(owner.get("/diary/" + "x".repeat(43)).status()).isEqualTo(404);
    assertThat(owner.get(link.replace("/diary/", "/report/")).status()).isEqualTo(404);
  }
}
