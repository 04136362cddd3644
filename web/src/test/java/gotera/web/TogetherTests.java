package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.options.FilePayload;
import gotera.web.storage.Entries;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Several people in one job, and entries that someone interrupts. */
@ExtendWith(Application.class)
class TogetherTests {

  /** Two technicians on one vehicle: one reads the gauge, one lies under it with a phone. */
  @Test
  void twoTechniciansOnOneVehicleOneOnAPhoneUnderIt(Application.Running application)
      throws IOException {
    try (Bench gauge = Bench.of(application);
        Bench under = Bench.onPhone(application, "lead")) {
      gauge.click("New job");
      gauge.fill("Vehicle", "Lending bus, two at work");
      gauge.fill("Complaint, in the customer’s words", "Loses water on the pass");
      gauge.click("Begin the job");
      gauge.step("Cap");
      gauge.fill("Stamped on the cap", "18 psi");
      gauge.click("Save the cap");
      gauge.fill("Finest reading you can make", "0.5 kPa");
      gauge.click("Begin pumping");
      gauge.reading("120");
      gauge.click("Valve shut");

      under.open("/");
      under.page.locator(".jobs a").getByText("Lending bus, two at work").click();
      under.page.locator("#bench").waitFor();
      under.open(gauge.jobPath() + "/find?joint=radiator.core");
      under.shows(".rail .step-running", "Pressure test");
      // the drop is seen below while the gauge is read above
      under.fill("Note", "One bead, front face");
      under.fill("Drops in a minute", "12");
      under.page.setInputFiles("#photo", new FilePayload("../../bead.exe", "text/html", photo()));
      gauge.reading("119.5");
      under.click("Wet");
      under.shows(".joint-about", "12");
      assertThat(under.page.locator(".joint-photo img").getAttribute("src")).startsWith("/photos/");

      // each sees the other's work without reloading
      gauge.page.locator(".so-far-sites a").getByText("Radiator").waitFor();
      under.open(gauge.jobPath() + "/pressure-test");
      under.shows("#gauge-now", "119.5");
      gauge.page.locator("#gauge").fill("119");
      gauge.page.locator("#gauge").press("Enter");
      under.page.locator("#gauge-now").getByText("119.0").waitFor();

      // a half-typed reading is not touched by what comes in
      under.page.locator("#gauge").fill("118");
      gauge.reading("118.5");
      under.page.locator("#gauge-now").getByText("118.5").waitFor();
      under.holds("#gauge", "118");

      gauge.open(gauge.jobPath() + "/history");
      gauge.shows("#history", "bench");
      gauge.shows("#history", "lead");
      gauge.shows("#history", "Radiator core");
      gauge.shows("#history", "119.5");
    }
  }

  /** The cap is stamped 1.2 and someone chose psi: no cap is 1.2 psi, so it asks back. */
  @Test
  void aCapReadInTheWrongUnitIsAskedBack(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      bench.step("Cap");
      bench.fill("Stamped on the cap", "1.2");
      bench.page.locator("input[name=unit][value=psi]").check();
      bench.click("Save the cap");
      bench.shows("#stamp-problem", "1.2 psi");
      bench.shows(".choices-ask", "1.200 bar");
      bench.shows(".choices-ask", "120.0 kPa");
      bench.holds("#stamp", "1.2");
      bench.page.locator(".choices-ask label").getByText("1.200 bar").click();
      bench.click("Save the cap");
      bench.step("Cap");
      bench.shows(".plate", "120.0 kPa");
    }
  }

  @Test
  void aReadingMistypedIsTakenBackAndStaysInTheHistory(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.pumping("18 psi", "0.5 kPa");
      bench.reading("18");
      bench.click("Undo");
      bench.reading("118");
      bench.shows("#gauge-now", "118.0");
      bench.open(bench.jobPath() + "/history");
      bench.shows("#history", "Undone: Reading: 18 kPa");
      bench.shows("#history", "Reading: 118 kPa");
    }
  }

  @Test
  void halfTypedTextSurvivesAReloadALostConnectionAndSigningOut(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      String job = bench.jobPath();
      bench.open(job + "/intake");
      bench.fill("Complaint, in the customer’s words", "Half a sen");
      bench.until("Object.keys(localStorage).some(k => k.includes('intake'))");
      bench.page.reload();
      bench.holds("#complaint", "Half a sen");
      bench.shows(".draft-note", "not saved yet");

      bench.fill("Complaint, in the customer’s words", "Half a sentence, and the van in a tunnel");
      bench.page.context().setOffline(true);
      bench.button("Save intake").click();
      bench.page.locator("#offline:not([hidden])").waitFor();
      assertThat(bench.page.locator("#complaint").inputValue()).contains("tunnel");
      bench.page.context().setOffline(false);

      bench.page.getByText("Sign out").click();
      bench.page.locator("#username").waitFor();
      bench.signIn("bench", Application.PASSWORD);
      bench.open(job + "/intake");
      assertThat(bench.page.locator("#complaint").inputValue()).contains("tunnel");
      bench.fill("Vehicle", "In a tunnel");
      bench.click("Save intake");
      bench.open(job + "/intake");
      assertThat(bench.page.locator(".draft-note").count()).as("saved: no draft").isZero();
      assertThat(bench.page.locator("#complaint").inputValue()).contains("tunnel");
    }
  }

  @Test
  void aDraftIsNotShownToAnotherAccount(Application.Running application) {
    try (Bench bench = Bench.of(application)) {
      bench.click("Start a test now");
      String job = bench.jobPath();
      bench.open(job + "/intake");
      bench.fill("Vehicle", "Only mine");
      bench.until("Object.keys(localStorage).some(k => k.includes('intake'))");
      bench.page.getByText("Sign out").click();
      bench.page.locator("#username").waitFor();
      bench.signIn("lead", Application.PASSWORD);
      bench.open(job + "/intake");
      assertThat(bench.page.locator("#vehicle").inputValue()).isEmpty();
    }
  }

  private static byte[] photo() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "jpg", bytes);
    return bytes.toByteArray();
  }

  /**
   * The first try is taken back by a conflict, and meanwhile the same entry came to another
   * process: the second try finds it there. A claim must not outlive its transaction.
   */
  @Test
  void aClaimEndsWithTheTryThatMadeIt(Application.Running application) {
    TransactionTemplate writing =
        new TransactionTemplate(application.bean(PlatformTransactionManager.class));
    Entries entries = application.bean(Entries.class);
    String id = UUID.randomUUID().toString();
    MockHttpServletRequest request = new MockHttpServletRequest("POST", "/jobs/new");
    request.setParameter(Entries.FIELD, id);
    RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    try {
      writing.executeWithoutResult(
          taken -> {
            entries.claim();
            taken.setRollbackOnly();
          });
      application
          .bean(JdbcTemplate.class)
          .update("insert into entry (id, path, written_at) values (?, '/jobs/new', now(6))", id);
      assertThatThrownBy(() -> writing.executeWithoutResult(again -> entries.claim()))
          .hasMessage("entry stored already");
    } finally {
      RequestContextHolder.resetRequestAttributes();
    }
  }

  /** Once it is kept, further writes of the same request pass. */
  @Test
  void oneRequestMayWriteTwice(Application.Running application) {
    TransactionTemplate writing =
        new TransactionTemplate(application.bean(PlatformTransactionManager.class));
    Entries entries = application.bean(Entries.class);
    MockHttpServletRequest request = new MockHttpServletRequest("POST", "/jobs/new");
    request.setParameter(Entries.FIELD, UUID.randomUUID().toString());
    RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    try {
      writing.executeWithoutResult(first -> entries.claim());
      writing.executeWithoutResult(
          second -> {
            entries.claim();
            second.setRollbackOnly();
          });
      writing.executeWithoutResult(third -> entries.claim());
    } finally {
      RequestContextHolder.resetRequestAttributes();
    }
  }
}
