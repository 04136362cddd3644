package gotera.formats;

import gotera.suspects.Action;
import gotera.suspects.Assessment;
import gotera.suspects.Assessment.Suspect;
import gotera.suspects.Flag;
import gotera.suspects.Proposal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A whole situation: a job as far as it has come, and what a seasoned technician would say of it.
 *
 * @param name its name
 * @param told what happened, in words
 * @param job the job
 * @param expected what they would say
 */
public record Situation(String name, String told, JobFile job, Expected expected) {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  /** Nothing is taken to leak where that is likelier than not (our judgement). */
  private static final double EVEN = 0.5;

  private static final int THREE = 3;

  /**
   * What a seasoned technician would say.
   *
   * @param first places of which one should be suspected first; empty where it is open
   * @param withinThree groups of places; one of each should be within the first three
   * @param next checks of which one should come first, by kind, or by kind and place; {@code
   *     look:*} is any look; empty where open
   * @param flags the rules that apply, all of them
   * @param found the places that are found, all of them; absent where open
   * @param nothingLeaks whether nothing leaks
   */
  public record Expected(
      List<String> first,
      List<List<String>> withinThree,
      List<String> next,
      Set<String> flags,
      Optional<Set<String>> found,
      boolean nothingLeaks) {}

  /** How an assessment compares; absent where nothing was expected of it. */
  public record Score(
      Optional<Boolean> first,
      Optional<Boolean> withinThree,
      Optional<Boolean> next,
      boolean flags,
      Optional<Boolean> found,
      String got) {
    /** Whether all that was expected is so. */
    public boolean right() {
      return first.orElse(true)
          && withinThree.orElse(true)
          && next.orElse(true)
          && flags
          && found.orElse(true);
    }
  }

  /**
   * Reads a situation.
   *
   * @throws IllegalArgumentException where the file is none, with what is wrong
   */
  public static Situation read(String name, String json) {
    try {
      JsonNode n = MAPPER.readTree(json);
      ReadOutcome<JobFile> job = JobJson.read(n.required("job").toString());
      if (job instanceof ReadOutcome.Rejected<JobFile> rejected) {
        throw new IllegalArgumentException(
            name + ": " + rejected.problems().stream().map(FormatProblem::sentence).toList());
      }
      JsonNode e = n.required("expected");
      List<List<String>> three = new ArrayList<>();
      e.path("within_three").forEach(g -> three.add(texts(g)));
      return new Situation(
          name,
          n.required("situation").stringValue(),
          ((ReadOutcome.Accepted<JobFile>) job).value(),
          new Expected(
              texts(e.path("first")),
              three,
              texts(e.path("next")),
              new TreeSet<>(texts(e.path("flags"))),
              e.has("found")
                  ? Optional.of(new TreeSet<>(texts(e.path("found"))))
                  : Optional.empty(),
              e.path("nothing_leaks").booleanValue(false)));
    } catch (JacksonException x) {
      throw new IllegalArgumentException(name + ": " + x.getOriginalMessage(), x);
    }
  }

  private static List<String> texts(JsonNode array) {
    List<String> texts = new ArrayList<>();
    array.forEach(t -> texts.add(t.stringValue()));
    return texts;
  }

  /** Assesses the job and compares. */
  public Score score() {
    Assessment a = Assessment.of(job.job());
    List<String> three = a.suspects().stream().limit(THREE).map(Suspect::place).toList();
    boolean quiet = a.nothingLeaks() > EVEN;
    Optional<Boolean> first =
        expected.nothingLeaks()
            ? Optional.of(quiet)
            : expected.first().isEmpty()
                ? Optional.empty()
                : Optional.of(!three.isEmpty() && expected.first().contains(three.get(0)));
    List<List<String>> groups = new ArrayList<>(expected.withinThree());
    if (!expected.first().isEmpty()) {
      groups.add(expected.first());
    }
    Optional<Boolean> within =
        groups.isEmpty()
            ? Optional.empty()
            : Optional.of(groups.stream().allMatch(g -> g.stream().anyMatch(three::contains)));
    String next = a.next().stream().findFirst().map(Situation::word).orElse("nothing");
    Optional<Boolean> sensible =
        expected.next().isEmpty()
            ? Optional.empty()
            : Optional.of(expected.next().stream().anyMatch(e -> matches(a, e)));
    Set<String> flags = new TreeSet<>(a.flags().stream().map(Flag::word).toList());
    String got =
        a.suspects().stream()
                .limit(THREE)
                .map(s -> s.place() + " " + Math.round(100 * s.probability()))
                .toList()
            + ", nothing "
            + Math.round(100 * a.nothingLeaks())
            + ", next "
            + next
            + ", flags "
            + flags;
    Set<String> found = new TreeSet<>(a.found());
    return new Score(
        first,
        within,
        sensible,
        flags.equals(expected.flags()),
        expected.found().map(found::equals),
        got + ", found " + found);
  }

  private static String word(Proposal p) {
    return p.what().toString();
  }

  /** Whether one is the other; a round of looks that begins with a place is a look at it too. */
  private static boolean matches(Assessment a, String expected) {
    Optional<Proposal> first = a.next().stream().findFirst();
    String next = first.map(Situation::word).orElse("nothing");
    boolean same =
        expected.endsWith("*")
            ? next.startsWith(expected.substring(0, expected.length() - 1))
            : next.equals(expected) || next.startsWith(expected + ":");
    return same
        || first
            .filter(p -> p.what() instanceof Action.LookRound r && begins(r, expected))
            .isPresent();
  }

  private static boolean begins(Action.LookRound round, String expected) {
    int colon = expected.indexOf(':');
    boolean look = expected.startsWith("look:") || expected.startsWith("dry-and-look:");
    return look
        && (expected.endsWith("*") || round.likely().contains(expected.substring(colon + 1)));
  }
}
