package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.signed.Authenticity;
import gotera.formats.signed.SignedPdf;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.PDFAValidator;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.ValidationResult;
import org.verapdf.pdfa.validation.profiles.Profiles;
import org.verapdf.pdfa.validation.profiles.ValidationProfile;

/** The report on one page and as the file: what it says, as a page and as a PDF. */
@ExtendWith(Application.class)
class ReportTests {
  private Http http;
  private String job;

  @BeforeEach
  void begin(Application.Running application) {
    http = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    job = http.job("Corrie 12");
  }

  private String text(String address) throws IOException {
    try (PDDocument pdf = pdf(address)) {
      return new PDFTextStripper().getText(pdf).replace('\u00a0', ' ').replaceAll("\\s+", " ");
    }
  }

  private PDDocument pdf(String address) throws IOException {
    Http.Bytes answer = http.bytes(address);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.type()).isEqualTo("application/pdf");
    return Loader.loadPDF(answer.content());
  }

  @Test
  void onePageSaysTheSameOnScreenAndOnPaper() throws IOException {
    String page = http.get(job + "/report").text();
    String printed = text(job + "/report.pdf");
    for (String said :
        new String[] {
          "Corrie 12", "What was found", "What was done", "Please watch", "after the repair"
        }) {
      assertThat(page).contains(said);
      assertThat(printed).contains(said);
    }
    // the bound that the re-test shows stands on it
    String bound = http.get(job + "/re-test").find("at most (0\\.\\d+) mL/min");
    assertThat(printed).contains(bound);
    try (PDDocument pdf = pdf(job + "/report.pdf")) {
      assertThat(pdf.getNumberOfPages()).isLessThanOrEqualTo(2);
    }
  }

  @Test
  void theFileHasEveryFigureAndItsOrigin() throws IOException {
    String printed = text(job + "/report/file.pdf");
    assertThat(printed)
        .contains("The file", "Where it comes from", "Uncertainty, largest first")
        .contains("Who did what when")
        .contains("The circuit, and what was found on it");
    assertThat(http.get(job + "/report/file").text()).contains("Who did what when");
  }

  /** The curve on paper is the page's, corner by corner, but for size and place. */
  @Test
  void theCurvesAreThoseOfThePage() throws IOException {
    String drawn = http.get(job + "/report/file").find("(<path[^>]*class=\"curve-fit\"[^>]*>)");
    List<Point2D> page =
        Pattern.compile("[ML](-?[\\d.]+),(-?[\\d.]+)")
            .matcher(drawn)
            .results()
            .map(
                m ->
                    (Point2D)
                        new Point2D.Double(
                            Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))))
            .toList();
    assertThat(page).hasSizeGreaterThan(20);
    try (PDDocument pdf = pdf(job + "/report/file.pdf")) {
      assertThat(PdfPaths.of(pdf).stream().filter(p -> p.size() == page.size()))
          .as("a line with as many corners that lies on the page's, scaled and moved")
          .anySatisfy(p -> assertThat(farthest(page, p)).isLessThan(0.1));
    }
  }

  /** How far a line's corners are off another's, scaled and moved (in units of the second). */
  private static double farthest(List<Point2D> of, List<Point2D> line) {
    Point2D a = of.get(0);
    Point2D b = of.get(of.size() - 1);
    Point2D from = line.get(0);
    double scale = (line.get(line.size() - 1).getX() - from.getX()) / (b.getX() - a.getX());
    double farthest = 0;
    for (int i = 0; i < of.size(); i++) {
      double x = from.getX() + scale * (of.get(i).getX() - a.getX());
      double y = from.getY() - scale * (of.get(i).getY() - a.getY());
      farthest = Math.max(farthest, line.get(i).distance(x, y));
    }
    return farthest;
  }

  @Test
  void aReaderForTheBlindIsToldWhatEachPartIs() throws IOException {
    try (PDDocument pdf = pdf(job + "/report/file.pdf")) {
      assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
      assertThat(pdf.getDocumentCatalog().getLanguage()).startsWith("en");
      assertThat(pdf.getDocumentCatalog().getStructureTreeRoot().getKids()).isNotEmpty();
      assertThat(pdf.getDocumentInformation().getTitle()).contains("Corrie 12");
      for (COSName name : pdf.getPage(0).getResources().getFontNames()) {
        PDFont font = pdf.getPage(0).getResources().getFont(name);
        assertThat(font.isEmbedded()).as(font.getName()).isTrue();
      }
    }
  }

  /** A general validator's word: PDF/UA-1 (ISO 14289-1), as far as a machine can check it. */
  @Test
  void aGeneralValidatorFindsItsTagsInOrder() throws Exception {
    VeraGreenfieldFoundryProvider.initialise();
    Map<String, String> look =
        Map.of("joint", "pump.gasket", "saw", "wet", "state", "cold-pressure");
    String pictured = http.begin().job();
    http.postFile(pictured + "/find", look, "photo", photograph());
    ValidationProfile profile;
    try (InputStream rules =
        Foundries.class.getResourceAsStream("/org/verapdf/pdfa/validation/PDFUA-1.xml")) {
      profile = Profiles.profileFromXml(rules);
    }
    for (String address :
        new String[] {
          job + "/report.pdf", job + "/report/file.pdf", pictured + "/report/file.pdf"
        }) {
      byte[] content = http.bytes(address).content();
      try (PDFAParser parser =
              Foundries.defaultInstance()
                  .createParser(new ByteArrayInputStream(content), PDFAFlavour.PDFUA_1);
          PDFAValidator validator =
              Foundries.defaultInstance().createValidator(profile, 100, false, true, false)) {
        ValidationResult result = validator.validate(parser);
        assertThat(result.getTestAssertions().stream().map(Object::toString).distinct())
            .as(address)
            .isEmpty();
        assertThat(result.isCompliant()).as(address).isTrue();
      }
    }
  }

  @Test
  void whoTakesItBackSigns() throws IOException {
    Http.Answer empty = http.post(job + "/sign", Map.of("signer", " ", "drawing", "M1,1L2,2"));
    assertThat(empty.status()).isEqualTo(422);
    assertThat(empty.text()).contains("id=\"signer-problem\"");
    for (String odd : new String[] {"M1,1\"/><script>", "M1 1", "Q1,1", "M1,1L".repeat(20_000)}) {
      assertThat(http.post(job + "/sign", Map.of("signer", "A. Reader", "drawing", odd)).status())
          .isEqualTo(422);
    }
    String scribble = "M1,1" + "L599,199".repeat(7_000);
    assertThat(http.post(begun(), Map.of("signer", "A. Scribbler", "drawing", scribble)).status())
        .isEqualTo(302);
    assertThat(
            http.post(job + "/sign", Map.of("signer", "A. <Reader>", "drawing", "M1,1L600,200"))
                .status())
        .isEqualTo(302);
    assertThat(http.get(job + "/report").text())
        .contains("A. &lt;Reader&gt;")
        .contains("M1,1L600,200");
    assertThat(text(job + "/report.pdf")).contains("A. <Reader>");
    assertThat(http.get(job + "/history").text()).contains("Taken back by A. &lt;Reader&gt;");
  }

  @Test
  void theLetterheadIsTheLeads(Application.Running application) throws IOException {
    Map<String, String> head =
        Map.of(
            "workshop", "Workshop of the mountain library & vans",
            "address", "Saddle road 4\nUpper village",
            "paperSize", "letter");
    assertThat(http.post("/letterhead", head).status()).isEqualTo(403);
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    assertThat(lead.post("/letterhead", Map.of("address", "kept")).text())
        .contains("workshop-problem")
        .contains("kept");
    assertThat(lead.post("/letterhead", head).status()).isEqualTo(302);
    assertThat(text(job + "/report.pdf")).contains("mountain library & vans", "Saddle road 4");
    try (PDDocument pdf = pdf(job + "/report.pdf")) {
      // US letter: 8.5 by 11 inches of 72 points
      assertThat(pdf.getPage(0).getMediaBox().getWidth()).isEqualTo(612);
    }
  }

  /** A new key takes the place of the old one once; what the old one signed stays genuine. */
  @Test
  void aNewKeySignsAndTheOldReportsStayGenuine(Application.Running application) throws IOException {
    byte[] before = http.bytes(job + "/report.pdf").content();
    Http lead = Http.signedIn(application.address(), "lead", Application.PASSWORD);
    String old = lead.get("/letterhead").find("name=\"after\" value=\"([^\"]+)\"");
    assertThat(text(job + "/report.pdf")).contains(old);
    assertThat(http.post("/letterhead/key", Map.of("after", old)).status()).isEqualTo(403);
    for (int i = 0; i < 2; i++) {
      assertThat(lead.post("/letterhead/key", Map.of("after", old)).status()).isEqualTo(302);
    }
    String page = lead.get("/letterhead").text();
    assertThat(page).contains("Signs now").contains("Signed before").contains(old);
    String now = lead.get("/letterhead").find("name=\"after\" value=\"([^\"]+)\"");
    assertThat(now).isNotEqualTo(old);
    assertThat(page.split("class=\"key-print\"")).as("made once").hasSize(3);
    assertThat(text(job + "/report.pdf")).contains(now).doesNotContain(old);
    assertThat(SignedPdf.check(before)).isInstanceOf(Authenticity.Genuine.class);
  }

  private static byte[] photograph() throws IOException {
    BufferedImage taken = new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB);
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(taken, "png", png);
    return png.toByteArray();
  }

  /** Photographs stand in the file, on screen by their address, in the PDF within it. */
  @Test
  void theFileShowsThePhotographs() throws IOException {
    String begun = http.begin().job();
    Map<String, String> look =
        Map.of("joint", "pump.gasket", "saw", "wet", "state", "cold-pressure");
    assertThat(http.postFile(begun + "/find", look, "photo", photograph()).status()).isEqualTo(302);
    assertThat(http.get(begun + "/report/file").text()).contains("/photos/").contains("kept by");
    assertThat(text(begun + "/report/file.pdf")).contains("Photographs", "kept by bench");
    try (PDDocument pdf = pdf(begun + "/report/file.pdf")) {
      List<PDImageXObject> images = new ArrayList<>();
      for (PDPage page : pdf.getPages()) {
        for (COSName name : page.getResources().getXObjectNames()) {
          if (page.getResources().getXObject(name) instanceof PDImageXObject image) {
            images.add(image);
          }
        }
      }
      assertThat(images).hasSize(1);
      assertThat(images.get(0).getWidth()).isEqualTo(640);
    }
  }

  /** Six print the same job at once: each gets its paper, and the chain stays one. */
  @Test
  void severalPrintAtOnce() {
    String begun = http.begin().job();
    List<Http.Bytes> printed =
        IntStream.range(0, 6).parallel().mapToObj(i -> http.bytes(begun + "/report.pdf")).toList();
    assertThat(printed).allMatch(p -> p.status() == 200);
    assertThat(printed.stream().map(p -> SignedPdf.check(p.content())))
        .allSatisfy(c -> assertThat(c).isInstanceOf(Authenticity.Genuine.class))
        .extracting(c -> ((Authenticity.Genuine) c).head())
        .containsOnly(((Authenticity.Genuine) SignedPdf.check(printed.get(0).content())).head());
  }

  @Test
  void whatIsToComeIsACalendar() {
    String begun = http.begin().job();
    http.post(begun + "/waits", Map.of("kind", "soak", "minutes", "60", "back", "find"));
    http.post(begun + "/repair", Map.of("joint", "pump.gasket", "note", "new"));
    Http.Answer answer = http.get(begun + "/calendar.ics");
    assertThat(answer.header("Content-Type")).startsWith("text/calendar");
    assertThat(answer.text()).startsWith("BEGIN:VCALENDAR").endsWith("END:VCALENDAR\r\n");
    assertThat(answer.text().replace("\r\n ", ""))
        .contains("BEGIN:VEVENT", "DTSTART", "UID:", "a month after the repair");
    // RFC 5545, 3.1: lines end in CRLF and are at most 75 octets long
    assertThat(answer.text().replace("\r\n", "").contains("\n")).isFalse();
    assertThat(answer.text().split("\r\n")).allMatch(l -> l.length() <= 75);
    assertThat(answer.text().split("BEGIN:VEVENT")).hasSize(5);
  }

  private String begun() {
    return http.begin().job() + "/sign";
  }

  /** Whatever the ending, and however little was done, there is a report. */
  @Test
  void anEmptyJobHasAReport() throws IOException {
    String begun = http.begin().job();
    assertThat(http.get(begun + "/report").text()).contains("was not measured here");
    assertThat(text(begun + "/report/file.pdf")).contains("was not measured here");
    assertThat(new String(http.bytes(begun + "/report.pdf").content(), StandardCharsets.ISO_8859_1))
        .startsWith("%PDF-");
  }
}
