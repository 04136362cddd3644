package gotera.web.report;

import gotera.formats.signed.Chain;
import gotera.formats.signed.SignedPdf;
import gotera.web.chain.ChainService;
import gotera.web.chain.InstallationKey;
import gotera.web.figures.Figures;
import gotera.web.frame.QrCode;
import gotera.web.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Prints a job's report as a PDF, bound to its record and signed. */
@Component
public class Printer {
  private static final int HASH_SHOWN = 16;

  private final ReportPages pages;
  private final FilePages files;
  private final Pdf pdf;
  private final ITemplateEngine templates;
  private final ChainService chains;
  private final InstallationKey key;
  private final Words words;
  private final Clock clock;

  Printer(
      ReportPages pages,
      FilePages files,
      Pdf pdf,
      ITemplateEngine templates,
      ChainService chains,
      InstallationKey key,
      Words words,
      Clock clock) {
    this.pages = pages;
    this.files = files;
    this.pdf = pdf;
    this.templates = templates;
    this.chains = chains;
    this.key = key;
    this.words = words;
    this.clock = clock;
  }

  /**
   * Prints.
   *
   * @param whole whether with the file, or the one page alone
   * @param address where the job is, for the code on the paper
   */
  public byte[] print(UUID jobId, boolean whole, Figures figures, String address) {
    Chain chain = chains.upToNow(jobId);
    ReportPage report = pages.page(jobId, figures);
    Context context = new Context(Locale.ENGLISH);
    context.setVariable("report", report);
    context.setVariable("file", whole ? files.page(jobId, figures, true) : null);
    context.setVariable("title", words.say("report.title"));
    context.setVariable("qr", QrCode.of(address).svg(words.say("report.qr-job")));
    context.setVariable(
        "seal",
        words.say(
            "report.seal",
            key.fingerprint(),
            Integer.toString(chain.links().size()),
            chain.head().substring(0, HASH_SHOWN)));
    byte[] printed = pdf.of(templates.process("report/print", context), report.head().paper());
    try {
      return SignedPdf.sign(printed, chain, clock.instant(), key.pair());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
