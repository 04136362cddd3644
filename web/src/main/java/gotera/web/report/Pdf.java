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
import java.util.Map;
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
  private static final String FAMILY = "Atkinson Hyperlegible Next";
  private static final Map<String, Integer> WEIGHTS = Map.of("400Regular", 400, "700Bold", 700);

  private final String style;

  Pdf() throws IOException {
    XRLog.setLoggingEnabled(false);
    style = new ClassPathResource("print/report.css").getContentAsString(StandardCharsets.UTF_8);
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
      drawing.select("a").unwrap();
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.useFastMode();
    builder.usePdfUaAccessibility(true);
    builder.useSVGDrawer(new BatikSVGDrawer());
    WEIGHTS.forEach(
        (name, weight) ->
            builder.useFont(() -> font(name), FAMILY, weight, FontStyle.NORMAL, true));
    builder.withW3cDocument(new W3CDom().fromJsoup(page), null);
    builder.toStream(out);
    try {
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static InputStream font(String name) {
    try {
      return new ClassPathResource("print/AtkinsonHyperlegibleNext_" + name + ".ttf")
          .getInputStream();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
