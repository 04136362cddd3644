package gotera.practice;

import gotera.suspects.Action;
import gotera.suspects.AsNow;
import gotera.suspects.Assessment;
import gotera.suspects.Case;
import gotera.suspects.Observation;
import gotera.suspects.Observation.Looked;
import gotera.suspects.Observation.Scanned;
import gotera.suspects.Proposal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** Does whatever is proposed first, until nothing is proposed any more. */
public final class Player {
  /** Nobody goes on for longer (steps, minutes). */
  private static final int MOST_STEPS = 45;

  private static final double MOST_MINUTES = 700;

  private final PracticeVehicle vehicle;
  private final PracticeBench bench;
  private final List<Observation> observed = new ArrayList<>();
  private final List<HiddenLeak> leaks;
  private final List<String> course = new ArrayList<>();
  private final Set<String> done = new HashSet<>();
  private int wrong;
  private int repeated;

  private Player(PracticeVehicle vehicle, Random random) {
    this.vehicle = vehicle;
    this.bench = new PracticeBench(vehicle, random);
    this.leaks = vehicle.leaks();
    observed.addAll(Intake.of(vehicle, random));
    course.add("told " + observed);
  }

  /** A visit by the advice alone. */
  public static Outcome plays(PracticeVehicle vehicle, Random random) {
    Player player = new Player(vehicle, random);
    boolean on = true;
    for (int i = 0; on && i < MOST_STEPS && player.bench.minutes() < MOST_MINUTES; i++) {
      on = player.step();
    }
    return new Outcome(
        player.leaks,
        player.leaks.size() - vehicle.leaks().size(),
        player.wrong,
        player.bench.minutes(),
        player.repeated,
        player.course);
  }

  private boolean step() {
    Assessment now = Assessment.of(new Case(vehicle.circuit, List.copyOf(observed), AsNow.OPEN));
    if (now.next().isEmpty()) {
      course.add("nothing more is proposed");
      return false;
    }
    Proposal first = now.next().get(0);
    if (first.what().is(Action.Whole.REPAIR)) {
      repair(now);
      return true;
    }
    if (first.what().is(Action.Whole.DONE) || first.what().is(Action.Whole.LEVEL_WATCH)) {
      course.add(first.what() + " (" + first.why().word() + ")");
      return false;
    }
    // a longer hold is another one
    boolean longer = first.why() == Proposal.Why.HOLD_LONGER;
    if (!longer && !done.add(first.what() + " " + first.what().state() + " " + first.why())) {
      repeated++;
      course.add("the same again: " + first.what());
    }
    List<Observation> seen =
        bench.does(first.what(), first.first().contains(Proposal.First.UNCOVER));
    observed.addAll(seen);
    seen.forEach(this::news);
    course.add(
        String.format(
            "%.0f min %s %s (%s, %.3f bit): %s",
            bench.minutes(),
            first.what(),
            first.what().state().map(s -> s.word()).orElse(""),
            first.why().word(),
            first.bits(),
            told(seen)));
    course.add("    before: " + thought(now));
    return true;
  }

  /** What shows at a place is a reason to look there again. */
  private void news(Observation o) {
    boolean shows =
        o instanceof Looked look && look.wet() || o instanceof Scanned scan && scan.glow().counts();
    if (shows && o instanceof Observation.AtPlace at) {
      done.removeIf(d -> d.contains(":" + at.place() + " "));
    }
  }

  private void repair(Assessment now) {
    Set<String> places = new LinkedHashSet<>(now.found());
    if (places.isEmpty()) {
      now.suspects().stream().limit(1).forEach(s -> places.add(s.place()));
    }
    for (String place : places) {
      boolean helped = vehicle.mend(Repairs.mended(place, vehicle));
      wrong += helped ? 0 : 1;
      observed.add(new Observation.Repaired(place));
      course.add("REPAIR " + place + (helped ? "" : ", which was nothing"));
    }
    done.clear();
  }

  /** What was suspected. */
  private static String thought(Assessment now) {
    return now.suspects().stream()
            .limit(3)
            .map(s -> s.place() + " " + Math.round(100 * s.probability()) + " %")
            .toList()
        + ", nothing "
        + Math.round(100 * now.nothingLeaks())
        + " %";
  }

  /** What was seen, without what was dry. */
  static String told(List<Observation> seen) {
    List<String> news = new ArrayList<>();
    for (Observation o : seen) {
      boolean dry =
          seen.size() > 2
              && (o instanceof Looked l && l.saw() == gotera.look.Sight.DRY
                  || o instanceof Scanned s && !s.glow().counts());
      if (!dry) {
        news.add(
            o instanceof Looked l
                ? l.place() + " " + l.saw().word() + (l.driedBefore() ? " after drying" : "")
                : o instanceof Scanned s ? s.place() + " " + s.glow().word() : o.toString());
      }
    }
    return news.isEmpty() ? "all dry" : String.join(", ", news);
  }
}
