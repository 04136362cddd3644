package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import gotera.formats.signed.Authenticity;
import gotera.formats.signed.SignedPdf;
import gotera.web.Bench.Hand;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A whole job as one file, taken in by another workshop and handed out again. */
@ExtendWith(Application.class)
class ArchiveTests {
  private static final Path FOLDER = Path.of("target", "other-workshop").toAbsolutePath();

  private static Server other;
  private static Http lead;

  @BeforeAll
  static void start() {
    Script.run("database", "stop", FOLDER.toString());
    Script.delete(FOLDER);
    Script.run("database", "start", FOLDER.toString(), "25460");
    Map<String, String> settings = new HashMap<>(Server.database(FOLDER));
    settings.put("GOTERA_FIRST_ACCOUNT_CODE", Server.CODE);
    other = Server.start("other-workshop", settings);
    lead = other.firstAccount();
  }

  @AfterAll
  static void stop() {
    other.close();
    Script.run("database", "stop", FOLDER.toString());
  }

  private static Map<String, String> files(byte[] zip) {
    Map<String, String> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), new String(in.readAllBytes(), StandardCharsets.ISO_8859_1));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return files;
  }

  private static Http.Answer take(byte[] zip) {
    lead.get("/jobs/closed");
    Http.Answer seen = lead.postFile("/jobs/import", Map.of(), "jobFile", zip);
    return seen.location().contains("/job-files/") ? lead.post(path(seen), Map.of()) : seen;
  }

  private static String path(Http.Answer led) {
    return led.location().replaceAll("^https?://[^/]+", "");
  }

  /**
   * Names that are known here: asked, and joined or kept beside; who signed it is said before, and
   * known the next time.
   */
  @Test
  void namesThatAreKnownAreAskedAbout(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String first = of(here, "Ling 3");
    String second = of(here, "Ling 3");
    assertThat(take(here.bytes(first + "/job.zip").content()).location()).endsWith("/history");
    // over there it is another vehicle of this name, and another type
    database("update vehicle set id = uuid() where name = 'Ling 3'");
    byte[] zip = here.bytes(second + "/job.zip").content();
    lead.get("/jobs/closed");
    String file = path(lead.postFile("/jobs/import", Map.of(), "jobFile", zip));
    assertThat(lead.get(file).text())
        .contains("never seen here before")
        .contains("There is a vehicle Ling 3 here");
    Http.Answer unsaid = lead.post(file, Map.of("workshop", "The garage below"));
    assertThat(unsaid.status()).isEqualTo(422);
    assertThat(unsaid.text()).contains("the same one or another").contains("The garage below");
    assertThat(lead.post(file, Map.of("vehicle", "another", "vehicleName", "Ling 3")).text())
        .contains("needs another name than Ling 3");
    of(lead, "Klamm 4");
    assertThat(lead.post(file, Map.of("vehicle", "another", "vehicleName", "Klamm 4")).text())
        .as("another one that is here")
        .contains("needs another name than Klamm 4");
    Map<String, String> same = Map.of("vehicle", "same", "workshop", "The garage below");
    assertThat(lead.post(file, same).location()).endsWith(second + "/history");
    assertThat(lead.get(file).status()).as("taken, and forgotten").isEqualTo(404);
    assertThat(lead.get(second + "/find").status()).isEqualTo(200);
    assertThat(count("select count(*) from vehicle where name = 'Ling 3'")).isEqualTo(1);
    String third = of(here, "Ling 3");
    file =
        path(
            lead.postFile(
                "/jobs/import", Map.of(), "jobFile", here.bytes(third + "/job.zip").content()));
    assertThat(lead.get(file).text()).contains("The garage below").contains("whose key you know");
    assertThat(lead.post(file, Map.of("vehicle", "another", "vehicleName", "Ling 3 below")))
        .extracting(Http.Answer::location)
        .asString()
        .endsWith(third + "/history");
    assertThat(lead.get(third + "/intake").text()).contains("Ling 3 below");
    assertThat(count("select count(*) from vehicle where name like 'Ling 3%'")).isEqualTo(2);
  }

  /** Files that earlier versions handed out: the first that could, and two later ones. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "one-corrie-12",
        "one-halde-31",
        "two-corrie-12",
        "two-halde-31",
        "three-corrie-12",
        "three-halde-31"
      })
  void filesOfEarlierVersionsOpen(String name) throws IOException {
    byte[] zip;
    try (var in = getClass().getResourceAsStream("/gotera/web/archive/" + name + ".zip")) {
      zip = in.readAllBytes();
    }
    lead.get("/jobs/closed");
    Http.Answer seen = lead.postFile("/jobs/import", Map.of(), "jobFile", zip);
    assertThat(seen.location()).as(seen.text()).contains("/job-files/");
    Http.Answer taken =
        lead.post(
            path(seen),
            Map.of("vehicle", "another", "vehicleName", name, "type", "another", "typeName", name));
    assertThat(taken.status()).as(taken.text()).isEqualTo(302);
    String job = path(taken).replaceAll("/history.*", "");
    for (String step :
        List.of("intake", "pressure-test", "find", "inside", "repair", "re-test", "report")) {
      Http.Answer page = lead.get(job + "/" + step);
      assertThat(page.status()).as(step).isEqualTo(200);
      assertThat(page.text()).as(step).doesNotContain("cannot be read", "does not fit its seal");
    }
  }

  private static String of(Http here, String vehicle) {
    return here.post("/jobs/new", Map.of("vehicle", vehicle, "version", "0"))
        .location()
        .replaceAll("^.*(/jobs/[0-9a-f-]{36}).*$", "$1");
  }

  private static void database(String statement) {
    try (java.sql.Connection database = Server.connect(FOLDER);
        java.sql.Statement change = database.createStatement()) {
      change.execute("set foreign_key_checks = 0");
      String before = "create temporary table ids as select id from vehicle where name = 'Ling 3'";
      change.execute(before);
      change.execute(statement);
      change.execute(
          "update job set vehicle_id = (select id from vehicle where name = 'Ling 3')"
              + " where vehicle_id in (select id from ids)");
    } catch (java.sql.SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private static long count(String query) {
    try (java.sql.Connection database = Server.connect(FOLDER);
        java.sql.ResultSet counted = database.createStatement().executeQuery(query)) {
      counted.next();
      return counted.getLong(1);
    } catch (java.sql.SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Every job of the demonstration, out, in elsewhere, out again: the same, byte for byte. */
  @Test
  void whatIsTakenInIsHandedOutTheSame(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    for (String vehicle : List.of("Corrie 12", "Halde 31", "Skarn set 2")) {
      String job = here.job(vehicle);
      byte[] out = here.bytes(job + "/job.zip").content();
      Http.Answer taken = take(out);
      assertThat(taken.location()).as(lead.get("/jobs/closed").text()).endsWith(job + "/history");
      for (String page :
          List.of("intake", "find", "pressure-test", "repair", "hand-over", "history")) {
        assertThat(lead.get(job + "/" + page).status()).as(vehicle + " " + page).isEqualTo(200);
      }
      Map<String, String> before = files(out);
      Map<String, String> after = files(lead.bytes(job + "/job.zip").content());
      assertThat(after.keySet()).isEqualTo(before.keySet());
      // the report has the workshop's letterhead and time; it and the key make the signature
      for (String own : List.of("report.pdf", "manifest.json", "signature.txt")) {
        before.remove(own);
        after.remove(own);
      }
      before.forEach((name, text) -> assertThat(after.get(name)).as(name).isEqualTo(text));
      assertThat(take(out).location()).endsWith("/jobs/closed");
      assertThat(lead.get("/jobs/closed").text()).contains("this job is here already");
    }
    assertThat(lead.job("Corrie 12")).isEqualTo(here.job("Corrie 12"));
  }

  /** What the camera and the bench left in a job goes with it. */
  @Test
  void dialAndSumsGoWithTheJob(Application.Running application) throws IOException {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = here.begin();
    CameraTests.touched(here, begun.test());
    here.post("/tools/keep", Map.of("strength", "38", "job", begun.job().replace("/jobs/", "")));
    take(here.bytes(begun.job() + "/job.zip").content());
    assertThat(lead.get(begun.job() + "/history").text())
        .contains("A dial touched for the camera")
        .contains("Sums of the bench: boils, 38 % concentrate");
    String kept =
        lead.get("/tests/" + begun.test() + "/camera").find("<img src=\"(/photos/[^\"]+)");
    assertThat(lead.bytes(kept).type()).startsWith("image/");
    assertThat(lead.get(kept).header("Content-Security-Policy")).startsWith("sandbox;");
  }

  /**
   * A level that fell over weeks: repaired, watched by the owner, proven; on paper, and in another
   * workshop. What was not repeated yet is not proven, whatever is chosen.
   */
  @Test
  void whatShowedOverWeeksIsProvenByTheOwnersDiary(Application.Running application)
      throws IOException {
    String vehicle = "Brenka weeks";
    String job;
    byte[] zip;
    try (Bench bench = Bench.of(application).by(Hand.TOUCH)) {
      bench.open("/jobs/new");
      bench.fill("Vehicle", vehicle);
      bench.page.locator("#complaint").fill("Level falls, nothing to be seen");
      bench.fill("Liquid in the system", "11 L");
      bench.fill("Strength, %", "50");
      bench.click("Begin the job");
      job = bench.jobPath();
      bench.step("Intake");
      bench.fill("Lost per week", "0.5 L");
      bench.fill("Hours hot in a week", "10");
      bench.click("Save intake");
      bench.circuit("4.0 bus", "v-across-outlet-over-gearbox");
      Visit.cap(bench, "1.2 bar");
      bench.step("Find");
      bench.joint("tank.seam");
      bench.click("Stained");
      bench.repaired("tank.seam", "New tank");
      bench.open(job + "/re-test/proof");
      bench.shows("#proof-lines", "over weeks");
      bench.shows("#proof-said", "Not proven yet: 1 of 1");
      bench.step("Hand over");
      bench.choose("proven");
      bench.click("Close the job");
      bench.shows(".field-wrong .wrong", "it showed over weeks, and that was not repeated since");
      bench.open(job + "/level-watch");
      bench.fill("Area of the tank at the mark, cm²", "90");
      bench.fill("Coolant, °C", "12");
      bench.click("Save the mark");
      bench.click("Link for the owner");
      String link = bench.text(".link-text").replaceAll("^https?://[^/]+", "");
      bench.step("Hand over");
      bench.choose("provisional");
      bench.click("Close the job");
      Visit.later(application, job, 24);
      owner(application, link);
      bench.open("/jobs/closed?q=" + vehicle.replace(' ', '+'));
      bench.click("Open again: " + vehicle);
      bench.open(job + "/re-test/proof");
      bench.shows("#proof-lines", "✓ marks over 24 days: at most 0.");
      bench.shows("#proof-said", "Proven under every circumstance");
      Visit.closeAs(bench, "proven");
      bench.open(job + "/hand-over");
      byte[] paper = bench.fetch("One page (PDF)");
      zip = bench.fetch("The whole job (ZIP)");
      assertThat(SignedPdf.check(paper)).isInstanceOf(Authenticity.Genuine.class);
      try (PDDocument pdf = Loader.loadPDF(paper)) {
        String said = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
        assertThat(said).contains(vehicle, "New tank", "at most 0.");
      }
    }
    try (Bench elsewhere =
        Bench.at(application, other.address(), Server.LEAD, Server.PASSWORD).by(Hand.TOUCH)) {
      elsewhere.open("/jobs/closed");
      elsewhere.page.setInputFiles("#jobFile", new FilePayload("job.zip", "application/zip", zip));
      elsewhere.click("Look at it");
      elsewhere.shows("h1", "A job of another workshop");
      elsewhere.click("Take it in");
      elsewhere.shows("h1", "History");
      elsewhere.open(job + "/level-watch");
      elsewhere.shows(".table", "owner");
      elsewhere.open(job + "/re-test/proof");
      elsewhere.shows("#proof-said", "Proven under every circumstance");
    }
  }

  /** The owner, with a phone and no account. */
  private static void owner(Application.Running application, String link) {
    try (Bench owner = Bench.stranger(application, link).by(Hand.TOUCH)) {
      owner.fill("Level now, mm above the tape", "0");
      owner.fill("Driven since the last entry, km", "1600 km by bus");
      owner.use(owner.button("Save"));
      owner.shows("#distance-problem", "Please enter");
      owner.fill("Driven since the last entry, km", "1600");
      owner.use(owner.button("Save"));
      owner.shows(".table", "1600 km");
    }
  }

  @Test
  void oneChangedByteIsNamedAndNothingIsKept(Application.Running application) {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    byte[] out = here.bytes(here.job("Fenn 20") + "/job.zip").content();
    byte[] forged = out.clone();
    forged[forged.length / 3] ^= 1;
    assertThat(take(forged).location()).endsWith("/jobs/closed");
    assertThat(lead.get("/jobs/closed").text()).contains("This file was not taken");
    for (byte[] odd : List.of(new byte[0], "no zip".getBytes(StandardCharsets.UTF_8))) {
      assertThat(take(odd).location()).endsWith("/jobs/closed");
    }
    assertThat(lead.get("/?q=Fenn").text()).contains("Nothing found");
  }

  /** Signed in order by a key of its own, and hostile in what it holds. */
  @Test
  void hostileRecordsAreRefusedWhole(Application.Running application) throws IOException {
    Http here = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    String job = here.job("Fenn 20");
    Map<String, String> out = files(here.bytes(job + "/job.zip").content());
    String records = out.get("records.json");
    String id = job.replace("/jobs/", "");
    Map<String, String> hostile = new LinkedHashMap<>();
    hostile.put("there are no tables", records.replace("\"tables\" :", "\"tabels\" :"));
    hostile.put(
        "found “me”, expected an identifier",
        records.replaceFirst("(?s)(\"vehicle\" : \\[ \\{\\s+\"id\" : \")[^\"]+", "$1me"));
    hostile.put("there is no table account", records.replace("\"lesson\" :", "\"account\" :"));
    hostile.put("no such member", records.replace("\"complaint\" :", "\"x = 1 where 1=1; --\" :"));
    hostile.put(
        "belongs to another job",
        records.replaceFirst("\"job_id\" : \"" + id, "\"job_id\" : \"00000000" + id.substring(8)));
    hostile.put("its records cannot be read", records.substring(0, records.length() / 2));
    hostile.put("its records are of another format", records.replace("records/2", "records/9"));
    hostile.put("it names no job", records.replace("\"job\" : \"" + id, "\"job\" : \"me"));
    hostile.put(
        "a revision that is not there",
        records.replace("\"revision\" : 1,", "\"revision\" : 9999,"));
    hostile.put(
        "found “never”, expected a moment from 1990 on",
        records.replaceFirst("\"started_at\" : \"[^\"]+", "\"started_at\" : \"never"));
    hostile.put(
        "what it holds cannot be read here",
        records.replaceFirst("\"hold\" : \"(?:[^\"\\\\]|\\\\.)*\"", "\"hold\" : \"{}\""));
    hostile.put(
        "it refers to what is not in the file",
        records.replaceFirst(
            "\"pressure_test_id\" : \"[0-9a-f]{8}", "\"pressure_test_id\" : \"00000000"));
    hostile.put(
        "it is the history of what is not in the file",
        records.replaceFirst(
            "(?s)(\"vehicle_history\" : \\[ \\{\\s+\"id\" : \")[0-9a-f]{8}", "$100000000"));
    hostile.put(
        "expected a number from 5 to 400",
        records.replaceFirst("\"rated_kpa\" : [0-9.]+", "\"rated_kpa\" : 1e308"));
    hostile.put(
        "expected one of: pumped, valve-shut",
        records.replaceFirst("\"kind\" : \"valve-shut\"", "\"kind\" : \"valve-open\""));
    hostile.put("found “nothing”, expected something, as there is closed_at", closed(records));
    hostile.put("expected a moment not before begun_at", waiting(records, id));
    hostile.put("it is no recording", saying(records, id));
    hostile.put("its rows hold another chain than its chain.json", records);
    java.security.KeyPair keys = gotera.formats.signed.Keys.make();
    long before = rows();
    for (Map.Entry<String, String> h : hostile.entrySet()) {
      assertThat(h.getValue().equals(records))
          .as("guard: " + h.getKey())
          .isEqualTo(h.getKey().startsWith("its rows"));
      byte[] zip =
          gotera.formats.signed.SignedZip.pack(
              Map.of(
                  "records.json",
                  h.getValue().getBytes(StandardCharsets.ISO_8859_1),
                  "voices/x.bin",
                  "<script>alert(1)</script>".getBytes(StandardCharsets.ISO_8859_1)),
              new gotera.formats.signed.Chain(List.of()),
              java.time.Instant.EPOCH,
              keys);
      assertThat(take(zip).location()).as(h.getKey()).endsWith("/jobs/closed");
      assertThat(lead.get("/jobs/closed").text()).contains(h.getKey());
      assertThat(rows()).as(h.getKey() + ": nothing is kept").isEqualTo(before);
    }
  }

  /** Closed without an ending. */
  private static String closed(String records) {
    return records.replaceFirst(
        "(?s)(\"job\" : \\[ \\{.*?\"closed_at\" : )[^,]+", "$1\"2026-12-01 07:00:00\"");
  }

  /** A wait that ends before it begins. */
  private static String waiting(String records, String job) {
    return records.replaceFirst(
        "(?s)\"job_wait\" : \\[[^\\]]*\\]",
        """
        "job_wait" : [ { "id" : "01a00000-0000-7000-8000-000000000001", "job_id" : "%s",
        "kind" : "soak", "note" : "", "begun_at" : "2026-12-01 07:30:00",
        "due_at" : "2026-12-01 07:00:00", "begun_by" : "me", "ended_at" : null,
        "ended_by" : null, "version" : 0 } ]"""
            .formatted(job));
  }

  /** A script where a recording should be. */
  private static String saying(String records, String job) {
    return records.replaceFirst(
        "(?s)\"voice\" : \\[[^\\]]*\\]",
        """
        "voice" : [ { "id" : "01a00000-0000-7000-8000-000000000002", "job_id" : "%s",
        "sound" : "voices/x.bin", "media_type" : "audio/webm", "sha256" : "%s",
        "written_at" : "2026-12-01 07:30:00", "written_by" : "me" } ]"""
            .formatted(job, "0".repeat(64)));
  }

  private static long rows() {
    try (java.sql.Connection database = Server.connect(FOLDER);
        java.sql.ResultSet counted =
            database
                .createStatement()
                .executeQuery(
                    "select (select count(*) from job) + (select count(*) from vehicle)"
                        + " + (select count(*) from revision) + (select count(*) from photo)"
                        + " + (select count(*) from account)")) {
      counted.next();
      return counted.getLong(1);
    } catch (java.sql.SQLException e) {
      throw new IllegalStateException(e);
    }
  }
}
