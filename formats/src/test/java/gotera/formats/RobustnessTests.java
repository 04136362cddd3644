package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.pressure.EarlyClaim;
import gotera.pressure.PressureTest;
import gotera.pressure.PressureTestResult;
import gotera.pressure.Pumping;
import gotera.pressure.Remedy;
import gotera.pressure.Signal;
import gotera.pressure.TestPlan;
import gotera.pressure.ToGo;
import gotera.pressure.setup.CompletedHold;
import gotera.pressure.setup.HoldSetup;
import gotera.pressure.trace.Trace;
import gotera.pressure.verdict.VerdictKind;
import gotera.suspects.Vocabulary;
import gotera.testkit.Hostile;
import gotera.testkit.Seeds;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every file gets an answer: a verdict, or problems that name their place. Nothing is thrown,
 * whatever it holds; {@code bench/robustness SEED MINUTES} runs the same for longer.
 */
class RobustnessTests {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final long SEED = Long.getLong("robustness.seed", 1);
  private static final Duration LONGEST = Duration.ofMinutes(Long.getLong("robustness.minutes", 0));
  private static final int CASES = Seeds.cases(400, 1500);

  /** Runs seeded cases: a fixed number, or for as long as asked. */
  private static void cases(Case one) throws IOException {
    Instant end = Instant.now().plus(LONGEST);
    long i = 0;
    for (; i < CASES || Instant.now().isBefore(end); i++) {
      long seed = 1_000_003 * SEED + i;
      try {
        one.run(new Random(seed));
      } catch (RuntimeException | AssertionError e) {
        throw new AssertionError("seed " + seed, e);
      }
    }
    System.out.printf("robustness: %d cases from seed %d%n", i, SEED);
  }

  private interface Case {
    void run(Random random) throws IOException;
  }

  @Test
  void everyTraceUnderEveryDescriptionHasAVerdict() throws IOException {
    cases(RobustnessTests::anyTrace);
  }

  /** What longer runs found. */
  @Test
  void whatBrokeItOnce() throws IOException {
    // a valve said to be shut after the last reading
    anyTrace(new Random(77_014_765));
  }

  private static void anyTrace(Random random) throws IOException {
    String json = description(random);
    ReadOutcome<HoldSetup> hold = HoldJson.read(json);
    String csv = trace(random);
    ReadOutcome<Trace> trace =
        TraceCsv.read(new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)));
    placesNamed(hold);
    placesNamed(trace);
    if (hold instanceof ReadOutcome.Accepted<HoldSetup> h
        && trace instanceof ReadOutcome.Accepted<Trace> t) {
      verdict(h.value(), t.value(), json + "\n" + csv);
    }
  }

  private static void verdict(HoldSetup hold, Trace trace, String shown) {
    CompletedHold completed = CompletedHold.of(hold, trace);
    PressureTest test = new PressureTest(trace, completed.conditions());
    PressureTestResult result = test.analyse();
    result
        .rate()
        .ifPresent(
            r -> {
              assertThat(r.rate()).as(shown).isFinite();
              assertThat(r.u()).as(shown).isFinite().isPositive();
              assertThat(r.limits().critical()).as(shown).isNotNaN();
              assertThat(r.upper()).as(shown).isNotNaN().isGreaterThanOrEqualTo(r.rate());
              assertThat(r.compliance()).as(shown).isFinite().isPositive();
            });
    assertThat(Remedy.of(test, result)).as(shown).isNotNull();
    live(test, result, shown);
    assertThat(HoldJson.read(HoldJson.write(hold)))
        .as("what is written is read back: %s", shown)
        .isEqualTo(new ReadOutcome.Accepted<>(hold));
    JsonNode line = MAPPER.readTree(ResultJson.line("t", result, hold, completed));
    assertThat(line.get("verdict").stringValue()).as(shown).isNotBlank();
  }

  /** What is shown while it runs can be said of every trace, too. */
  private static void live(PressureTest test, PressureTestResult result, String shown) {
    try {
      Optional<ToGo> toGo = ToGo.of(test.trace(), test.conditions(), result);
      toGo.ifPresent(
          t ->
              assertThat(t.minutes().orElse(0))
                  .as(shown)
                  .isBetween(0.0, (double) TestPlan.LONGEST));
      assertThat(Signal.of(test.trace(), test.conditions(), 100, true, toGo)).isNotNull();
      assertThat(EarlyClaim.first(test.trace(), test.conditions())).isNotNull();
      if (Pumping.goesOn(test.trace(), test.conditions(), result)) {
        assertThat(result.verdict())
            .as(shown)
            .isIn(VerdictKind.NOT_COUNTED, VerdictKind.NOT_PROVEN);
      }
    } catch (RuntimeException e) {
      throw new AssertionError(shown, e);
    }
  }

  private static void placesNamed(ReadOutcome<?> outcome) {
    if (outcome instanceof ReadOutcome.Rejected<?> rejected) {
      assertThat(rejected.problems()).isNotEmpty();
      for (FormatProblem problem : rejected.problems()) {
        assertThat(problem.expected()).isNotBlank();
        assertThat(problem.sentence()).doesNotContain("Exception").doesNotContain("\u0000");
      }
    }
  }

  /** A description with values at, within and past their ranges, in any combination. */
  static String description(Random random) {
    ObjectNode n = MAPPER.createObjectNode();
    n.put("format", "gotera-hold/1");
    n.put("rated_kpa", usual(random, 20, 200));
    n.put("liquid_ml", usual(random, 500, 12_000));
    maybe(n, random, "limit_kpa", 20, 250);
    maybe(n, random, "atmosphere_kpa", 55, 110);
    maybe(n, random, "ambient_c", -39, 59);
    maybe(n, random, "strength", 0, 0.6);
    if (random.nextInt(3) == 0) {
      n.put("medium", List.of("liquid", "gas", "vacuum").get(random.nextInt(3)));
    }
    compliance(n.putObject("compliance"), random);
    if (random.nextBoolean()) {
      n.putObject("gauge")
          .put("resolution_kpa", usual(random, 0.001, 10))
          .put("repeatability_kpa", usual(random, 0, 5));
    }
    if (random.nextInt(3) == 0) {
      n.putObject("thermometer").put("resolution_c", usual(random, 0.001, 2));
    }
    if (random.nextBoolean()) {
      n.put("soak", random.nextBoolean() ? "overnight" : "unknown");
    }
    maybe(n, random, "own_leak_ml_per_min", 0, 5);
    maybe(n, random, "pumped_until_s", -10, 600);
    maybe(n, random, "pumped_from_kpa", -10, 80);
    maybe(n, random, "released_before_min", 0, 90);
    if (random.nextInt(4) == 0) {
      n.putObject("maker_rule")
          .put("pressure_kpa", usual(random, 5, 200))
          .put("minutes", usual(random, 0.1, 30))
          .put("drop_kpa", usual(random, 0.1, 20));
    }
    if (random.nextInt(6) == 0) {
      n.putArray("window_s").add(usual(random, 0, 300)).add(usual(random, 300, 900));
    }
    if (random.nextInt(6) == 0) {
      draw(n.putObject("closing_draw"), random);
    }
    if (random.nextInt(3) == 0) {
      n.put("purpose", List.of("search", "repair", "sign-off").get(random.nextInt(3)));
    }
    if (random.nextInt(40) == 0) {
      n.put(Hostile.text(random), Hostile.text(random));
    }
    return MAPPER.writeValueAsString(n);
  }

  private static void compliance(ObjectNode c, Random random) {
    switch (random.nextInt(4)) {
      case 0 -> {
        var draws = c.putArray("draws");
        int count = 1 + random.nextInt(4);
        for (int i = 0; i < count; i++) {
          ObjectNode d = draws.addObject();
          draw(d, random);
          if (random.nextInt(3) == 0) {
            draws.add(d.deepCopy());
          }
        }
      }
      case 1 -> {
        ObjectNode s = c.putObject("strokes").put("stroke_ml", usual(random, 1, 60));
        var readings = s.putArray("readings");
        for (int i = 0; i <= random.nextInt(4); i++) {
          readings
              .addObject()
              .put("count", 1 + random.nextInt(40))
              .put("gauge_kpa", usual(random, 0.001, 200));
        }
      }
      default -> {
        c.put("trapped_air_ml", random.nextInt(8) == 0 ? 0 : usual(random, 0, 800));
        maybe(c, random, "hose_ml_per_kpa", 0, 2);
        maybe(c, random, "relative_uncertainty", 0, 2);
        c.put("source", random.nextBoolean() ? "measured" : "geometry");
      }
    }
  }

  private static void draw(ObjectNode d, Random random) {
    double before = usual(random, 1, 200);
    d.put("ml", usual(random, 0.1, 60));
    d.put("before_kpa", before).put("after_kpa", before * random.nextDouble());
  }

  /** Mostly within, sometimes at an end, seldom anything at all. */
  private static double usual(Random random, double low, double high) {
    return switch (random.nextInt(40)) {
      case 0 -> low;
      case 1 -> high;
      case 2 -> Double.parseDouble(Hostile.number(random));
      case 3 -> -Seeds.between(random, low, high);
      default -> Seeds.between(random, low, high);
    };
  }

  private static void maybe(ObjectNode n, Random random, String name, double low, double high) {
    if (random.nextInt(3) == 0) {
      n.put(name, usual(random, low, high));
    }
  }

  /** Readings that fall, alternate, stand, rise or make no sense, with events among them. */
  private static String trace(Random random) {
    String unit = List.of("kpa", "psi", "bar").get(random.nextInt(3));
    boolean warm = random.nextInt(3) == 0;
    StringBuilder csv = new StringBuilder("elapsed_s,gauge_" + unit);
    csv.append(warm ? ",coolant_c,event\n" : ",event\n");
    int rows = random.nextInt(5) == 0 ? random.nextInt(4) : 2 + random.nextInt(60);
    double start = usual(random, 0, 180);
    double slope = Seeds.between(random, -0.2, 0.05);
    int kind = random.nextInt(6);
    double t = random.nextInt(20) == 0 ? Double.parseDouble(Hostile.number(random)) : 0;
    for (int i = 0; i < rows; i++) {
      t += random.nextInt(50) == 0 ? Math.pow(10, random.nextInt(9)) : 1 + random.nextInt(60);
      double p =
          switch (kind) {
            case 0 -> i % 2 == 0 ? start : start / 2;
            case 1 -> 0;
            case 2 -> usual(random, -110, 250);
            case 3 -> start;
            default -> start + slope * t + random.nextGaussian();
          };
      csv.append(t).append(',');
      csv.append(random.nextInt(400) == 0 ? Hostile.text(random) : Double.toString(p));
      if (warm) {
        csv.append(',').append(usual(random, -20, 120));
      }
      csv.append(',').append(event(random)).append('\n');
    }
    return csv.toString();
  }

  private static String event(Random random) {
    List<String> words =
        List.of("pumped", "valve-shut", "squeezed", "draw:20", "released", "place-seen");
    return random.nextInt(6) > 0 ? "" : words.get(random.nextInt(words.size()));
  }

  @Test
  void everyByteIsAnswered() throws IOException {
    cases(
        random -> {
          byte[] bytes = trace(random).getBytes(StandardCharsets.UTF_8);
          for (int i = 0; i < 1 + random.nextInt(4) && bytes.length > 0; i++) {
            bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
          }
          placesNamed(TraceCsv.read(new ByteArrayInputStream(bytes)));
          placesNamed(TraceZip.read(new ByteArrayInputStream(bytes)));
          placesNamed(HoldJson.read(Hostile.text(random)));
          placesNamed(JobJson.read(Hostile.text(random)));
          String json = description(random);
          int cut = random.nextInt(json.length());
          placesNamed(HoldJson.read(json.substring(0, cut)));
          placesNamed(HoldJson.read(json.substring(0, cut) + Hostile.text(random)));
        });
  }

  @Test
  void everyJobIsRanked() throws IOException {
    List<String> places =
        Vocabulary.published().places().stream().map(p -> p.place()).limit(30).toList();
    cases(
        random -> {
          ObjectNode job = MAPPER.createObjectNode().put("format", "gotera-job/1");
          var findings = job.putArray("findings");
          for (int i = 0; i < random.nextInt(12); i++) {
            ObjectNode f = findings.addObject();
            switch (random.nextInt(5)) {
              case 0 ->
                  f.put("check", "pressure-test")
                      .put("rate_ml_per_min", usual(random, -50, 5000))
                      .put("u", usual(random, 1e-6, 50));
              case 1 ->
                  f.put("check", "combustion-gas")
                      .put("result", random.nextBoolean() ? "blue" : "yellow");
              case 2 ->
                  f.put("check", "dye")
                      .put("at", places.get(random.nextInt(places.size())))
                      .put("saw", random.nextBoolean() ? "new-glow" : "dark");
              case 3 -> f.put("check", Hostile.text(random)).put("at", Hostile.text(random));
              default ->
                  f.put("check", "look")
                      .put("at", places.get(random.nextInt(places.size())))
                      .put("state", "cold-pressure")
                      .put("saw", random.nextBoolean() ? "wet" : "dry");
            }
          }
          ReadOutcome<JobFile> read = JobJson.read(MAPPER.writeValueAsString(job));
          placesNamed(read);
          if (read instanceof ReadOutcome.Accepted<JobFile> accepted) {
            JsonNode line = MAPPER.readTree(RankJson.line("job", accepted.value()));
            double sum = 0;
            for (JsonNode s : line.get("suspects")) {
              sum += s.get("probability").doubleValue();
            }
            assertThat(sum).as(job.toString()).isBetween(0.0, 2.01);
          }
        });
  }
}
