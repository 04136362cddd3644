package gotera.web.floor;

import gotera.web.figures.Figures;
import gotera.web.floor.FloorRows.Check;
import gotera.web.floor.FloorRows.Place;
import gotera.web.floor.FloorRows.Running;
import gotera.web.frame.EachRow;
import gotera.web.job.JobHeadline.Headline;
import gotera.web.job.OpenJobs;
import gotera.web.job.OpenJobs.OpenJob;
import gotera.web.timer.WaitService;
import gotera.web.words.Words;
import gotera.word.Worded;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Makes the floor from what the database holds. */
@Component
class FloorPages {
  /** Jobs on the floor (our judgement: more than any workshop has open). */
  private static final int MOST = 150;

  /** Who wrote longer ago is not at it any more (our judgement). */
  private static final Duration AT_IT = Duration.ofMinutes(30);

  private final OpenJobs jobs;
  private final FloorRows rows;
  private final Expected expected;
  private final WaitService waits;
  private final Words words;
  private final Clock clock;

  FloorPages(
      OpenJobs jobs,
      FloorRows rows,
      Expected expected,
      WaitService waits,
      Words words,
      Clock clock) {
    this.jobs = jobs;
    this.rows = rows;
    this.expected = expected;
    this.waits = waits;
    this.words = words;
    this.clock = clock;
  }

  /** Where a job is on the floor. */
  enum Group implements Worded {
    /** Something rings. */
    DUE,
    /** Somebody can work on it now. */
    NOW,
    /** It runs or waits by itself. */
    RUNS
  }

  /**
   * A job on the floor.
   *
   * @param id its identifier
   * @param address where a touch leads
   * @param bay where it stands
   * @param vehicle its vehicle
   * @param what what happens to it, or what can be done
   * @param headline what is known of it
   * @param gauge what the gauge shows, with its unit
   * @param due when it comes due (ms since 1970), 0 where nobody knows
   * @param since since when it runs (ms since 1970), 0 where it does not
   * @param left what is left or has passed, as it was when the page was made
   * @param who who is at it
   * @param group where it belongs
   */
  record Card(
      UUID id,
      String address,
      String bay,
      String vehicle,
      String what,
      Optional<Headline> headline,
      String gauge,
      long due,
      long since,
      String left,
      String who,
      Group group) {}

  /**
   * Cards that belong together.
   *
   * @param word its word, for the style
   * @param name what stands above them
   */
  record Cards(String word, String name, List<Card> cards) {}

  /** The floor, what is due first; groups without a job are left out. */
  List<Cards> groups(Figures figures) {
    List<Card> all = cards(figures);
    return Arrays.stream(Group.values())
        .map(
            g -> {
              String word = g.word();
              return new Cards(
                  word,
                  words.say("floor.group." + word),
                  all.stream().filter(c -> c.group() == g).toList());
            })
        .filter(g -> !g.cards().isEmpty())
        .toList();
  }

  private List<Card> cards(Figures figures) {
    Map<UUID, Running> running = rows.running();
    Map<UUID, Place> places = rows.places();
    Map<UUID, Check> checks =
        rows.checks().stream().collect(Collectors.toMap(Check::job, c -> c, (a, b) -> a));
    Map<UUID, WaitService.Shown> waiting =
        waits.open().stream()
            .collect(Collectors.toMap(WaitService.Shown::jobId, w -> w, (a, b) -> a));
    Function<OpenJob, Card> make =
        job -> {
          Base base = base(job, places);
          return Optional.ofNullable(waiting.get(job.id()))
              .filter(w -> w.ringing() || !running.containsKey(job.id()))
              .map(w -> waits(base, w))
              .orElseGet(
                  () ->
                      running.containsKey(job.id())
                          ? tested(base, running.get(job.id()), figures)
                          : checks.containsKey(job.id())
                              ? checked(base, checks.get(job.id()))
                              : free(base));
        };
    List<OpenJob> open = jobs.newest(MOST);
    open.stream().filter(job -> !job.fresh()).forEach(expected::moved);
    List<Card> cards =
        new ArrayList<>(EachRow.of(open, OpenJob::id, make, job -> broken(base(job, places))));
    cards.sort(
        Comparator.comparing(Card::group)
            .thenComparing(c -> c.due() == 0 ? Long.MAX_VALUE : c.due())
            .thenComparing(c -> -c.since()));
    return cards;
  }

  private Base base(OpenJob job, Map<UUID, Place> places) {
    Place place =
        places.getOrDefault(
            job.id(), new Place(Optional.empty(), Optional.empty(), Optional.empty()));
    return new Base(job, place.bay().orElse(""), who(place));
  }

  /** A job that cannot be shown: what it holds can be read in its history. */
  private Card broken(Base base) {
    return card(
        base,
        "/jobs/" + base.job().id() + "/history",
        words.say("job.broken"),
        new Times("", 0, 0, ""),
        Group.NOW);
  }

  /** What every card says of its job. */
  private record Base(OpenJob job, String bay, String who) {}

  private String who(Place place) {
    Instant since = clock.instant().minus(AT_IT);
    return place.at().filter(since::isBefore).flatMap(at -> place.by()).orElse("");
  }

  private Card waits(Base base, WaitService.Shown wait) {
    return card(
        base,
        "/jobs/" + base.job().id(),
        words.say("floor.waits", wait.what()),
        new Times("", wait.due(), 0, wait.left()),
        wait.ringing() ? Group.DUE : Group.RUNS);
  }

  private Card tested(Base base, Running test, Figures figures) {
    Instant now = clock.instant();
    boolean silent = test.writer().filter(w -> w.isSilent(now)).isPresent();
    Optional<Instant> due = silent ? Optional.empty() : expected.of(test.id());
    Instant since = test.shut().orElse(test.started());
    boolean enough = due.filter(d -> !d.isAfter(now)).isPresent();
    String gauge = test.gauge().map(figures::pressure).orElse("");
    return card(
        base,
        "/jobs/" + base.job().id() + "/" + test.phase().step().word() + "?test=" + test.id(),
        words.say("floor.runs", words.say("floor.phase." + test.phase().word()))
            + test.writer().map(w -> " \u00b7 " + w.name()).orElse("")
            + (silent ? " \u00b7 " + words.say("floor.silent") : ""),
        new Times(
            gauge,
            due.map(Instant::toEpochMilli).orElse(0L),
            since.toEpochMilli(),
            Figures.minutesAndSeconds(Duration.between(since, now).toMillis() / 1000.0)),
        enough || silent ? Group.DUE : Group.RUNS);
  }

  private Card checked(Base base, Check check) {
    return card(
        base,
        "/jobs/" + base.job().id(),
        words.say("floor.runs", words.say("floor.check." + check.word())),
        new Times(
            "",
            0,
            check.begun().toEpochMilli(),
            Figures.minutesAndSeconds(
                Duration.between(check.begun(), clock.instant()).toMillis() / 1000.0)),
        Group.RUNS);
  }

  private Card free(Base base) {
    String step = base.job().step().map(s -> s.word()).orElse("");
    return card(
        base,
        "/jobs/" + base.job().id() + (step.isEmpty() ? "" : "/" + step),
        step.isEmpty() ? "" : words.say("waits." + step),
        new Times("", 0, 0, ""),
        Group.NOW);
  }

  private record Times(String gauge, long due, long since, String left) {}

  private Card card(Base base, String address, String what, Times times, Group group) {
    return new Card(
        base.job().id(),
        address,
        base.bay(),
        base.job().vehicle().orElse(words.say("job.unnamed")),
        what,
        base.job().headline(),
        times.gauge(),
        times.due(),
        times.since(),
        times.left(),
        base.who(),
        group);
  }
}
