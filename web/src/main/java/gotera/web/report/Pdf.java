package gotera.web.report;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Element;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/**
 * Prints a page as a PDF: selectable text, tagged for screen readers, fonts within, drawings as
 * vectors.
 */
@Component
class Pdf {

  /** What the reports are set in, and what has the Greek letters of formulas. */
  private static final List<Font> FONTS =
      List.of(
          new Font("AtkinsonHyperlegibleNext_400Regular", "Atkinson Hyperlegible Next", 400),
          new Font("AtkinsonHyperlegibleNext_700Bold", "Atkinson Hyperlegible Next", 700),
          new Font("DejaVuSans", "DejaVu Sans", 400));

  /** A font within the application. */
  private record Font(String file, String family, int weight) {
    ClassPathResource resource() {
      return new ClassPathResource("print/" + file + ".ttf");
    }

    InputStream stream() {
      try {
        return resource().getInputStream();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    /** For drawings, which look for their fonts in the style. */
    String rule() throws IOException {
      return "@font-face{font-family:'"
          + family
          + "';font-weight:"
          + weight
          + ";src:url('"
          + resource().getURL()
          + "')}";
    }
  }

  private final String style;

  Pdf() throws IOException {
    XRLog.setLoggingEnabled(false);
    StringBuilder rules = new StringBuilder();
    for (Font font : FONTS) {
      rules.append(font.rule());
    }
    style =
        rules
            + new ClassPathResource("print/report.css").getContentAsString(StandardCharsets.UTF_8);
  }

  /**
   * A page as a PDF.
   *
   * @param html the page
   * @param paper {@code a4} or {@code letter}
   */
  byte[] of(String html, String paper) {
    org.jsoup.nodes.Document page = Jsoup.parse(html);
    page.head()
        .appendElement("style")
        .text(style + "@page{size:" + (paper.equals("letter") ? "letter" : "A4") + "}");
    for (Element drawing : page.select("svg")) {
      drawing.attr("alt", drawing.attr("aria-label"));
      drawing.select("a").forEach(a -> a.tagName("g").removeAttr("href"));
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.useFastMode();
    builder.usePdfUaAccessibility(true);
    builder.useSVGDrawer(new BatikSVGDrawer());
    FONTS.forEach(f -> builder.useFont(f::stream, f.family(), f.weight(), FontStyle.NORMAL, true));
    builder.withW3cDocument(new W3CDom().fromJsoup(page), null);
    builder.toStream(out);
    try {
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
