package gotera.said;

import gotera.bubble.BubbleCondition;
import gotera.combustion.GasColour;
import gotera.combustion.NotCounted;
import gotera.suspects.Checked.Bubbled;
import gotera.suspects.Checked.Bubbles;
import gotera.suspects.Checked.FluidSeen;
import gotera.suspects.Checked.Hissed;
import gotera.suspects.Checked.InCylinder;
import gotera.suspects.Checked.TwoTemperatures;
import gotera.suspects.Observation;
import gotera.suspects.Observation.GasChecked;
import gotera.word.Worded;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What was found inside, and in the fluids. */
public sealed interface InsideSaid extends Said {
  /**
   * The result of a check for combustion gas that was not led step by step.
   *
   * @param colour what the fluid turned to
   * @param unmet why it does not count; empty where it does
   */
  record GasResult(GasColour colour, Set<NotCounted> unmet) implements InsideSaid {
    /** Keeps its own copy. */
    public GasResult {
      unmet = Set.copyOf(unmet);
    }

    @Override
    public Optional<Observation> observation() {
      return Optional.of(new GasChecked(colour, words(unmet)));
    }
  }

  /**
   * What bubbles were, where nobody was led through a watch.
   *
   * @param bubbles what they are
   * @param unmet why it does not count; empty where it does
   */
  record BubblesResult(Bubbles bubbles, Set<BubbleCondition> unmet) implements InsideSaid {
    /** Keeps its own copy. */
    public BubblesResult {
      unmet = Set.copyOf(unmet);
    }

    @Override
    public Optional<Observation> observation() {
      return Optional.of(new Bubbled(bubbles, OptionalDouble.empty(), words(unmet)));
    }
  }

  /**
   * A look into a cylinder.
   *
   * @param seen what was seen
   * @param depth of what stands over the piston (mm), where that was measured
   */
  record CylinderSeen(InCylinder seen, OptionalDouble depth) implements InsideSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(seen);
    }
  }

  /** How a spark or glow plug looks beside the others. */
  enum PlugLook implements Worded {
    LIKE_OTHERS,
    WASHED_CLEAN,
    WET,
    SOOTY
  }

  /**
   * A plug was looked at.
   *
   * @param cylinder number of its cylinder, from 1
   * @param look how it looks
   */
  record PlugSeen(int cylinder, PlugLook look) implements InsideSaid {}

  /** A fluid was looked at. */
  record FluidFound(FluidSeen seen) implements InsideSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(seen);
    }
  }

  /** The temperatures of both hoses were read. */
  record HosesRead(TwoTemperatures taken) implements InsideSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(taken);
    }
  }

  /** What was heard when it was opened. */
  record Heard(Hissed hiss) implements InsideSaid {
    @Override
    public Optional<Observation> observation() {
      return Optional.of(hiss);
    }
  }

  /** A look or a touch whose answer is one word. */
  record Noted(Answer answer) implements InsideSaid {
    @Override
    public Optional<Observation> observation() {
      return answer.sign().map(Observation.Sign::new);
    }
  }

  /** The colour of a tester's fluid was measured from photographs; the note says what came out. */
  record ColourMeasured() implements InsideSaid {}

  private static List<String> words(Set<? extends Worded> unmet) {
    return unmet.stream().map(Worded::word).sorted().toList();
  }
}
