package gotera.web.circuit;

import gotera.circuit.Branch;
import gotera.circuit.Circuit;
import gotera.circuit.Circuit.Joint;
import gotera.circuit.DripSpot;
import gotera.circuit.DripTrace;
import gotera.drawing.CircuitView;
import gotera.look.Condition;
import gotera.look.Sight;
import gotera.web.circuit.Drawings.Wanted;
import gotera.web.figures.Figures;
import gotera.web.finding.FindingWords;
import gotera.web.job.JobPlace;
import gotera.web.words.Words;
import gotera.word.Worded;
import gotera.work.Step;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the page of the drawing shows. */
@Component
class FindPages {
  private static final int MOST_TRACED = 4;
  private static final int MOST_PHOTOS = 4;
  private static final int MOST_LOOKS = 6;

  private final CircuitService circuits;
  private final ConditionService conditions;
  private final FindingWords says;
  private final DripService drips;
  private final ReachService reach;
  private final Drawings drawings;
  private final CircuitWords names;
  private final RenewedPlaces renewed;
  private final Words words;

  FindPages(
      CircuitService circuits,
      ConditionService conditions,
      FindingWords says,
      DripService drips,
      ReachService reach,
      Drawings drawings,
      CircuitWords names,
      RenewedPlaces renewed,
      Words words) {
    this.renewed = renewed;
    this.circuits = circuits;
    this.conditions = conditions;
    this.says = says;
    this.drips = drips;
    this.reach = reach;
    this.drawings = drawings;
    this.names = names;
    this.words = words;
  }

  /** A joint in the list beside the drawing. */
  record ListedJoint(
      String code, String name, String address, String mark, String seen, boolean chosen) {}

  /** The joint being looked at. */
  record ChosenJoint(
      String code,
      String name,
      String fastening,
      String lettingGo,
      String shows,
      Optional<String> lastSeen,
      List<LookShown> looks,
      List<String> photos,
      List<String> renewed) {}

  /** A look that can be taken back. */
  record LookShown(String id, String said) {}

  /** A spot where it can drip. */
  record Spot(String code, String name, boolean chosen) {}

  /** What a drip leads to. */
  record Traced(String from, List<ListedJoint> joints) {}

  /** The page. */
  String page(
      UUID id,
      FindForm form,
      boolean dark,
      Map<String, String> problems,
      Figures figures,
      Model model) {
    Circuit circuit = circuits.circuit(id);
    Map<String, LeakSite> seen = new HashMap<>();
    circuits.sites(id).forEach(s -> seen.put(s.joint(), s));
    Optional<Joint> chosen = circuit.joint(form.joint());
    Optional<DripTrace> drip = drips.newest(id, circuit);
    String address = "/jobs/" + id + "/find?" + (dark ? "dark=true&" : "") + "joint=";
    Wanted wanted =
        new Wanted(address, chosen.map(Joint::code), drip, still(id, circuit), Map.of(), dark);
    Listing listing = new Listing(id, circuit, seen, address, chosen.map(Joint::code), figures);
    long looked = seen.values().stream().filter(s -> s.saw().looked()).count();
    model.addAttribute("place", new JobPlace(id, Step.FIND, figures));
    model.addAttribute("form", form);
    model.addAttribute("states", FindForm.STATES);
    model.addAttribute("problems", problems);
    model.addAttribute("dark", dark);
    model.addAttribute("unit", figures.unit().symbol());
    model.addAttribute("drawing", drawings.of(id, circuit, wanted));
    model.addAttribute(
        "joints", circuit.joints().stream().map(j -> listed(listing, j.code())).toList());
    model.addAttribute("gone", circuits.gone(id).stream().map(s -> gone(listing, s)).toList());
    model.addAttribute("looked", words.say("find.looked", looked, circuit.joints().size()));
    conditions(id, form, figures, model);
    model.addAttribute("valve", circuit.part("heater-valve").isPresent());
    model.addAttribute("heaterShut", reach.heaterShut(id));
    model.addAttribute("spots", spots(circuit, drip));
    model.addAttribute("traced", drip.map(d -> traced(listing, d)).orElse(null));
    model.addAttribute("chosen", chosen.map(j -> chosen(listing, j)).orElse(null));
    return "circuit/find";
  }

  /** At which pressure a place begins or stops to drip, in words. */
  record Dripping(String id, String said) {}

  /** Conditions that can be said of the chosen joint, and those that were. */
  private void conditions(UUID id, FindForm form, Figures figures, Model model) {
    model.addAttribute(
        "dripping",
        conditions.drips(id, form.joint()).stream()
            .map(f -> new Dripping(f.id().toString(), says.say(f, figures)))
            .toList());
    model.addAttribute("conditions", Worded.words(Condition.class));
    model.addAttribute(
        "felt",
        conditions.all(id).stream().filter(c -> c.what().place().equals(form.joint())).toList());
  }

  /** Branches that are not in the test. */
  private Set<Branch> still(UUID id, Circuit circuit) {
    Set<Branch> still = EnumSet.noneOf(Branch.class);
    circuit.joints().stream().map(Joint::branch).forEach(still::add);
    still.removeAll(reach.reach(id, circuit).branches());
    return still;
  }

  /** What a list of joints needs. */
  private record Listing(
      UUID jobId,
      Circuit circuit,
      Map<String, LeakSite> seen,
      String address,
      Optional<String> chosen,
      Figures figures) {
    Optional<LeakSite> site(String code) {
      return Optional.ofNullable(seen.get(code));
    }
  }

  private ListedJoint listed(Listing listing, String code) {
    Optional<LeakSite> site = listing.site(code);
    return new ListedJoint(
        code,
        names.joint(listing.circuit(), code),
        listing.address() + code,
        site.map(s -> Drawings.mark(s.saw())).orElse(CircuitView.Mark.OPEN).word(),
        site.map(s -> summary(listing, s)).orElse(words.say("saw.open")),
        listing.chosen().filter(code::equals).isPresent());
  }

  /** Seen where the circuit has no place any more: it is looked at anew, or taken back. */
  private LookShown gone(Listing listing, LeakSite site) {
    String name = names.joint(listing.circuit(), site.joint());
    return new LookShown(site.id().toString(), name + ": " + last(listing, site));
  }

  private List<Spot> spots(Circuit circuit, Optional<DripTrace> drip) {
    List<Spot> spots = new ArrayList<>();
    for (DripSpot spot : DripSpot.in(circuit)) {
      spots.add(
          new Spot(
              spot.word(),
              words.say("drip-spot." + spot.word()),
              drip.filter(d -> d.spot() == spot).isPresent()));
    }
    return spots;
  }

  private Traced traced(Listing listing, DripTrace drip) {
    return new Traced(
        words.say(
            drip.running() ? "find.traced-running" : "find.traced",
            words.say("drip-spot." + drip.spot().word())),
        drip.likeliest().stream().limit(MOST_TRACED).map(code -> listed(listing, code)).toList());
  }

  private ChosenJoint chosen(Listing listing, Joint joint) {
    return new ChosenJoint(
        joint.code(),
        names.joint(listing.circuit(), joint.code()),
        words.say("fastening." + joint.fastening().word()),
        words.say("letting-go." + joint.fastening().word()),
        names.shows(joint.code()),
        listing.site(joint.code()).map(s -> last(listing, s)),
        circuits.looks(listing.jobId()).stream()
            .filter(s -> s.joint().equals(joint.code()))
            .sorted(java.util.Comparator.comparing(LeakSite::at).reversed())
            .limit(MOST_LOOKS)
            .map(s -> new LookShown(s.id().toString(), last(listing, s)))
            .toList(),
        circuits.photographs(listing.jobId(), joint.code()).stream()
            .limit(MOST_PHOTOS)
            .map(p -> "/photos/" + p)
            .toList(),
        renewed(listing, joint.code()));
  }

  /** Since when a place is new; the same one wet again asks for more than a third part. */
  private List<String> renewed(Listing listing, String code) {
    boolean wet = listing.site(code).filter(LeakSite::wet).isPresent();
    return renewed.renewed(listing.jobId()).stream()
        .filter(r -> r.joint().equals(code))
        .map(
            r ->
                words.say(
                    wet && r.earlier() ? "find.renewed-wet" : "find.renewed",
                    Figures.moment(r.at()),
                    r.note()))
        .toList();
  }

  private String last(Listing listing, LeakSite site) {
    String said =
        words.say("find.last", summary(listing, site), Figures.moment(site.at()), site.writtenBy());
    return site.note().isEmpty() ? said : said + " \u201c" + site.note() + "\u201d";
  }

  private String summary(Listing listing, LeakSite site) {
    StringBuilder text = new StringBuilder(words.say("saw." + site.saw().word()));
    if (site.driedBefore()) {
      text.append(", ").append(words.say("find.dried-before"));
    }
    site.dropsPerMinute()
        .ifPresent(d -> text.append(", ").append(words.say("find.drops", Figures.plain(d))));
    site.pressureKpa()
        .ifPresentOrElse(
            p -> text.append(", ").append(words.say("find.at", listing.figures().pressure(p))),
            () -> text.append(", ").append(words.say("state-seen." + site.state().word())));
    firstBead(listing.jobId(), site)
        .ifPresent(m -> text.append(", ").append(words.say("find.first-bead", m)));
    return text.toString();
  }

  /** Minutes from cleaning a joint to the first bead at it. */
  private Optional<String> firstBead(UUID jobId, LeakSite wet) {
    if (!wet.wet()) {
      return Optional.empty();
    }
    return circuits.looks(jobId).stream()
        .filter(s -> s.joint().equals(wet.joint()) && s.at().isBefore(wet.at()))
        .reduce((a, b) -> b)
        .filter(s -> s.saw() == Sight.CLEANED)
        .map(s -> Duration.between(s.at(), wet.at()).toSeconds())
        .map(Figures::minutesAndSeconds);
  }
}
