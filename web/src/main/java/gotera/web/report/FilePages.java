package gotera.web.report;

import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.circuit.Drawings;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.circuit.LeakSite;
import gotera.web.figures.Figures;
import gotera.web.frame.PrintStyle;
import gotera.web.history.HistorySource;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.photo.PhotoService;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.hold.PressurePages;
import gotera.web.pressure.hold.TestSheet;
import gotera.web.report.FilePage.Done;
import gotera.web.report.FilePage.Picture;
import gotera.web.words.Words;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Puts everything of a job on paper. */
@Component
class FilePages {
  private final PressureService tests;
  private final PressurePages pages;
  private final CircuitService circuits;
  private final CircuitWords names;
  private final Drawings drawings;
  private final PrintStyle style;
  private final PhotoService photos;
  private final List<HistorySource> sources;
  private final Words words;

  FilePages(
      PressureService tests,
      PressurePages pages,
      CircuitService circuits,
      CircuitWords names,
      Drawings drawings,
      PrintStyle style,
      PhotoService photos,
      List<HistorySource> sources,
      Words words) {
    this.tests = tests;
    this.pages = pages;
    this.circuits = circuits;
    this.names = names;
    this.drawings = drawings;
    this.style = style;
    this.photos = photos;
    this.sources = sources;
    this.words = words;
  }

  /**
   * The file.
   *
   * @param paper whether it is printed, so that pictures must be within
   */
  FilePage page(UUID jobId, Figures figures, boolean paper) {
    return new FilePage(
        tests.all(jobId).stream().map(t -> styled(pages.sheet(t, figures))).toList(),
        style.within(drawings.of(jobId, circuits.circuit(jobId), Wanted.plain("#"))),
        circuits.looks(jobId).stream().map(l -> look(jobId, l, figures)).toList(),
        photos.printed(jobId).stream().map(p -> picture(p, paper)).toList(),
        history(jobId).stream()
            .map(e -> new Done(Figures.momentWithSeconds(e.at()), e.by(), e.what()))
            .toList());
  }

  /** Who did what when, the oldest first. */
  List<HistoryEntry> history(UUID jobId) {
    return sources.stream()
        .flatMap(s -> s.of(jobId).stream())
        .sorted(Comparator.comparing(HistoryEntry::at))
        .toList();
  }

  private Picture picture(PhotoService.Printed photo, boolean paper) {
    String source =
        paper
            ? "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(photo.jpeg())
            : "/photos/" + photo.id();
    return new Picture(words.say("report.photo", Figures.moment(photo.at()), photo.by()), source);
  }

  private TestSheet styled(TestSheet s) {
    return s.curve().isEmpty()
        ? s
        : new TestSheet(
            s.title(),
            s.verdict(),
            s.detail(),
            style.within(s.curve()),
            s.figures(),
            s.conditions(),
            s.budget());
  }

  private String look(UUID jobId, LeakSite site, Figures figures) {
    String saw =
        words.say(
            "report.look",
            Figures.moment(site.at()),
            names.joint(jobId, site.joint()),
            words.say("saw." + site.saw().word()));
    String drops =
        site.dropsPerMinute().isPresent()
            ? words.say("report.look-drops", Figures.plain(site.dropsPerMinute().getAsDouble()))
            : "";
    String at =
        site.pressureKpa().isPresent()
            ? words.say("report.look-at", figures.pressure(site.pressureKpa().getAsDouble()))
            : "";
    String note = site.note().isEmpty() ? "" : " (" + site.note() + ")";
    return saw + drops + at + note + ", " + site.writtenBy();
  }
}
