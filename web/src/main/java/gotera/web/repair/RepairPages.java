package gotera.web.repair;

import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.refill.FillAccount;
import gotera.repair.Craft;
import gotera.repair.CraftCheck;
import gotera.repair.Drain;
import gotera.said.CraftSaid.Compared;
import gotera.uncertainty.DecisionLimits;
import gotera.web.circuit.CircuitService;
import gotera.web.circuit.CircuitWords;
import gotera.web.figures.Figures;
import gotera.web.fill.FillService;
import gotera.web.finding.Finding;
import gotera.web.finding.FindingWords;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.PressureTestView;
import gotera.web.pressure.VerdictWords;
import gotera.web.words.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Puts together what the page of the repair shows. */
@Component
class RepairPages {
  private final CircuitService circuits;
  private final CircuitWords names;
  private final FillService fills;
  private final CraftService craft;
  private final OpenedJoints opened;
  private final RepairService repairs;
  private final PressureService tests;
  private final VerdictWords verdicts;
  private final FindingWords says;
  private final Words words;

  RepairPages(
      CircuitService circuits,
      CircuitWords names,
      FillService fills,
      CraftService craft,
      OpenedJoints opened,
      RepairService repairs,
      PressureService tests,
      VerdictWords verdicts,
      FindingWords says,
      Words words) {
    this.says = says;
    this.circuits = circuits;
    this.names = names;
    this.fills = fills;
    this.craft = craft;
    this.opened = opened;
    this.repairs = repairs;
    this.tests = tests;
    this.verdicts = verdicts;
    this.words = words;
  }

  /**
   * What to know of a place before it is opened.
   *
   * @param code its word
   * @param name its name
   * @param seal what is renewed with it
   * @param comes how much liquid comes, in words; empty while nobody knows how much is in
   * @param undo how it is let go
   * @param cure what may have to set there
   * @param checks the checks of the craft
   * @param compared what was said of the new part
   */
  record Before(
      String code,
      String name,
      String seal,
      String comes,
      String undo,
      Optional<CureShown> cure,
      List<CheckShown> checks,
      List<Said> compared) {}

  /** Something that must set, and for how many minutes. */
  record CureShown(String name, long minutes) {}

  /** A check, and the finding that says it was made; empty while it was not. */
  record CheckShown(String word, String name, String done) {}

  /** Something said, and the finding that says it. */
  record Said(String id, String text) {}

  /** A round: what was done, and what the test after it said. */
  record Round(String id, String place, String note, String when, String then) {}

  /** A joint that was opened. */
  record Opened(String code, String name, String seal) {}

  Optional<Before> before(UUID jobId, String code, Figures figures) {
    Circuit circuit = circuits.circuit(jobId);
    return circuit.joint(code).map(j -> before(jobId, circuit, j, figures));
  }

  private Before before(UUID jobId, Circuit circuit, Joint joint, Figures figures) {
    String code = joint.code();
    Craft of = Craft.of(joint);
    List<CheckShown> checks =
        of.checks().stream()
            .filter(c -> c != CraftCheck.NEW_AGAINST_OLD)
            .map(
                c ->
                    new CheckShown(
                        c.word(),
                        words.say("craft." + c.word()),
                        craft.done(jobId, code, c).map(UUID::toString).orElse("")))
            .toList();
    return new Before(
        code,
        names.joint(jobId, code),
        words.say("seal." + of.seal().word()),
        comes(jobId, circuit, joint, figures),
        words.say("fastening." + joint.fastening().word()),
        of.cure().map(c -> new CureShown(words.say("cure." + c.word()), c.lasts().toMinutes())),
        checks,
        craft.compared(jobId, code).stream().map(f -> said(f, figures)).toList());
  }

  private Said said(Finding<Compared> f, Figures figures) {
    String what = says.saw(f.said());
    return new Said(f.id().toString(), f.note().isEmpty() ? what : what + ": “" + f.note() + "”");
  }

  private String comes(UUID jobId, Circuit circuit, Joint joint, Figures figures) {
    return fills
        .account(jobId)
        .map(FillAccount::now)
        .map(now -> Drain.at(circuit, now.volume(), joint))
        .map(
            d ->
                words.say(
                    "repair.comes",
                    figures.volume(d.comes()),
                    figures.volume(DecisionLimits.TWO_SIDED * d.u()),
                    figures.volume(d.stays())))
        .orElse("");
  }

  /** The rounds in order: repair, test, repair, test. */
  List<Round> notes(UUID jobId, Figures figures) {
    List<PressureTestView> after =
        tests.all(jobId).stream().filter(t -> t.trace().size() > 0).toList();
    List<RepairNote> notes = repairs.notes(jobId);
    List<Round> rounds = new ArrayList<>();
    for (int i = 0; i < notes.size(); i++) {
      RepairNote n = notes.get(i);
      Instant until = i + 1 < notes.size() ? notes.get(i + 1).at() : Instant.MAX;
      String then =
          after.stream()
              .filter(t -> within(t, n.at(), until))
              .reduce((a, b) -> b)
              .map(t -> words.say("repair.then", verdicts.said(t, figures).headline()))
              .orElse("");
      rounds.add(
          new Round(
              n.id().toString(),
              n.joint().isEmpty() ? "" : names.joint(jobId, n.joint()),
              n.note(),
              Figures.moment(n.at()) + ", " + n.writtenBy(),
              then));
    }
    return rounds;
  }

  /**
   * Whether a test was made between two moments: by when it was sealed, for a curve given as a file
   * began before it was written; one that still runs belongs to the last round.
   */
  private static boolean within(PressureTestView test, Instant from, Instant until) {
    Instant made = test.finishedAt().orElse(Instant.MAX);
    return made.isAfter(from) && (made.isBefore(until) || until.equals(Instant.MAX));
  }

  /** Every joint that was opened, each a place to look at under pressure. */
  List<Opened> opened(UUID jobId) {
    Circuit circuit = circuits.circuit(jobId);
    return opened.of(jobId).stream()
        .flatMap(c -> circuit.joint(c).stream())
        .map(
            j ->
                new Opened(
                    j.code(),
                    names.joint(jobId, j.code()),
                    words.say("seal." + Craft.of(j).seal().word())))
        .toList();
  }
}
