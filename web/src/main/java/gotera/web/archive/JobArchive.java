package gotera.web.archive;

import gotera.formats.HoldJson;
import gotera.formats.StandingJson;
import gotera.formats.TraceWriter;
import gotera.formats.signed.Authenticity;
import gotera.formats.signed.Chain;
import gotera.formats.signed.SignedZip;
import gotera.web.archive.JobRestore.Refused;
import gotera.web.archive.Joining.Clash;
import gotera.web.chain.ChainService;
import gotera.web.chain.InstallationKey;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.Drawings;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.evidence.Cases;
import gotera.web.figures.Figures;
import gotera.web.finding.FindingService;
import gotera.web.frame.PrintStyle;
import gotera.web.history.HistorySource;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.report.Printer;
import gotera.web.retest.ProofService;
import gotera.web.storage.Write;
import gotera.web.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Packs a job into one signed file, and puts one in place. */
@Service
class JobArchive {
  private static final Logger LOG = LoggerFactory.getLogger(JobArchive.class);
  private static final String RECORDS = "records.json";

  private final Records records;
  private final JobRestore restore;
  private final JobFiles jobFiles;
  private final Cases cases;
  private final FindingService findings;
  private final List<HistorySource> histories;
  private final PressureService tests;
  private final ProofService proofs;
  private final CircuitService circuits;
  private final Drawings drawings;
  private final PrintStyle style;
  private final Printer printer;
  private final ChainService chains;
  private final InstallationKey key;
  private final Words words;
  private final Clock clock;

  JobArchive(
      Records records,
      JobRestore restore,
      JobFiles jobFiles,
      Cases cases,
      FindingService findings,
      List<HistorySource> histories,
      PressureService tests,
      ProofService proofs,
      CircuitService circuits,
      Drawings drawings,
      PrintStyle style,
      Printer printer,
      ChainService chains,
      InstallationKey key,
      Words words,
      Clock clock) {
    this.records = records;
    this.restore = restore;
    this.jobFiles = jobFiles;
    this.cases = cases;
    this.findings = findings;
    this.histories = histories;
    this.tests = tests;
    this.proofs = proofs;
    this.circuits = circuits;
    this.drawings = drawings;
    this.style = style;
    this.printer = printer;
    this.chains = chains;
    this.key = key;
    this.words = words;
    this.clock = clock;
  }

  /** A job as one file. */
  byte[] pack(UUID jobId, String address) {
    byte[] report = printer.print(jobId, true, Figures.USUAL, address);
    Chain chain = chains.upToNow(jobId);
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("job.json", bytes(jobFiles.text(jobId)));
    files.put("standing.json", bytes(StandingJson.text(proofs.of(jobId))));
    int number = 1;
    for (PressureTestView test : tests.all(jobId)) {
      String name = "traces/" + number++ + "-" + test.phase().word();
      files.put(name + ".csv", bytes(TraceWriter.write(test.trace())));
      files.put(name + ".hold.json", bytes(HoldJson.write(test.hold())));
    }
    files.put(
        "circuit.svg",
        bytes(
            style.alone(
                drawings.of(jobId, circuits.circuit(jobId), Wanted.plain("#")), 1000, 600)));
    files.put("report.pdf", report);
    Map<String, byte[]> attached = new TreeMap<>();
    String rows = records.of(jobId, attached);
    files.put(RECORDS, bytes(rows));
    files.putAll(attached);
    try {
      return SignedZip.pack(files, chain, clock.instant(), key.pair());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  /**
   * Puts a job in place: all of it or nothing.
   *
   * @throws Refused where it is not as it was signed, or cannot be read here
   */
  @Write
  public UUID take(byte[] zip, Joining joining) {
    SignedZip.Opened.Files held = opened(zip);
    UUID job = restore.put(rows(held), joining, held.files());
    read(job);
    if (!chains.of(job).equals(held.chain())) {
      throw new Refused(words.say("archive.other-chain"));
    }
    return job;
  }

  /**
   * What a file is, before it is taken in.
   *
   * @param signed who signed it, and when
   * @param clashes its names that are known here
   */
  record Seen(Authenticity.Genuine signed, List<Clash> clashes) {}

  /**
   * Looks at a file.
   *
   * @throws Refused where it is not as it was signed, or is here already
   */
  Seen look(byte[] zip) {
    SignedZip.Opened.Files held = opened(zip);
    if (restore.isHere(rows(held))) {
      throw new Refused("this job is here already");
    }
    if (SignedZip.check(zip) instanceof Authenticity.Genuine signed) {
      return new Seen(signed, restore.clashes(rows(held)));
    }
    throw new Refused(words.say("archive.unreadable"));
  }

  /** Whether something of a table has a name here. */
  boolean isNamed(String table, String name) {
    return restore.isNamed(table, name);
  }

  private static SignedZip.Opened.Files opened(byte[] zip) {
    SignedZip.Opened opened = SignedZip.open(zip);
    if (opened instanceof SignedZip.Opened.Refused refused) {
      throw new Refused(refused.what());
    }
    return (SignedZip.Opened.Files) opened;
  }

  private static byte[] rows(SignedZip.Opened.Files held) {
    byte[] rows = held.files().get(RECORDS);
    if (rows == null) {
      throw new Refused(RECORDS + " is missing");
    }
    return rows;
  }

  /** What cannot be read is not taken. */
  private void read(UUID job) {
    try {
      cases.of(job).observed();
      histories.forEach(h -> h.of(job));
      if (!tests.broken(job).isEmpty() || !findings.unread(job).isEmpty()) {
        throw new Refused(words.say("archive.unreadable"));
      }
    } catch (Refused e) {
      throw e;
    } catch (RuntimeException e) {
      LOG.warn("a job file holds what cannot be read", e);
      throw new Refused(words.say("archive.unreadable"));
    }
  }
}
