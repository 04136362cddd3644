package gotera.refill;

import java.util.ArrayList;
import java.util.List;

/**
 * Everything put into a system and taken out of it gives volume, strength and loss at each moment.
 * Volumes are taken as additive and as well mixed. Volume and glycol are conserved: what is in is
 * what was in, plus what came in, less what went out and what was lost.
 *
 * @param full volume of the full system (mL)
 * @param moments what was in it before the first entry and after each
 */
public record FillAccount(double full, List<Moment> moments) {
  /** Keeps its own copy. */
  public FillAccount {
    moments = List.copyOf(moments);
  }

  /** What an entry does. */
  public enum Kind {
    /** Poured in until it was full: what it took had been lost before. */
    TO_THE_BRIM,
    /** Poured in. */
    IN,
    /** Pushed in of what is in it already: it changes no strength. */
    IN_SAME,
    /** The strength was measured: from here on it is what was read. */
    MEASURED,
    /** Drained, drawn or caught: known to have gone. */
    OUT,
    /** Drained until nothing more came; what cannot be drained stays. */
    DRAINED
  }

  /**
   * An entry.
   *
   * @param kind what it does
   * @param millilitres how much (mL), above zero
   * @param strength strength of what was poured in, or was measured, 0 to 1; of no meaning else
   */
  public record Entry(Kind kind, double millilitres, double strength) {
    /** Refuses what cannot be. */
    public Entry {
      if (!(millilitres >= 0 && strength >= 0 && strength <= 1)) {
        throw new IllegalArgumentException("volume and strength of an entry: " + millilitres);
      }
    }
  }

  /**
   * What is in the system.
   *
   * @param volume coolant in it (mL)
   * @param glycol concentrate in it (mL)
   * @param lost lost unseen so far (mL)
   * @param lostGlycol concentrate lost unseen so far (mL)
   */
  public record Moment(double volume, double glycol, double lost, double lostGlycol) {
    /** Volume fraction of concentrate; zero in an empty system. */
    public double strength() {
      return volume > 0 ? glycol / volume : 0;
    }
  }

  /**
   * Keeps account.
   *
   * @param full volume of the full system (mL)
   * @param strength strength at the beginning
   * @param entries what happened, in order
   */
  public static FillAccount of(double full, double strength, List<Entry> entries) {
    List<Moment> moments = new ArrayList<>();
    Moment now = new Moment(full, full * strength, 0, 0);
    moments.add(now);
    for (Entry entry : entries) {
      now = after(now, entry, full);
      moments.add(now);
    }
    return new FillAccount(full, moments);
  }

  private static Moment after(Moment m, Entry e, double full) {
    return switch (e.kind()) {
      case IN ->
          new Moment(
              m.volume() + e.millilitres(),
              m.glycol() + e.millilitres() * e.strength(),
              m.lost(),
              m.lostGlycol());
      case IN_SAME ->
          new Moment(
              m.volume() + e.millilitres(),
              m.glycol() + e.millilitres() * m.strength(),
              m.lost(),
              m.lostGlycol());
      case MEASURED -> new Moment(m.volume(), m.volume() * e.strength(), m.lost(), m.lostGlycol());
      case OUT, DRAINED -> {
        double gone = Math.min(e.millilitres(), m.volume());
        yield new Moment(
            m.volume() - gone, m.glycol() - gone * m.strength(), m.lost(), m.lostGlycol());
      }
      case TO_THE_BRIM -> {
        // what it took beyond what was known to be missing had been lost, at the strength it had
        double known = Math.max(0, full - m.volume());
        double lost = Math.min(m.volume(), Math.max(0, e.millilitres() - known));
        double lostGlycol = lost * m.strength();
        yield new Moment(
            m.volume() - lost + e.millilitres(),
            m.glycol() - lostGlycol + e.millilitres() * e.strength(),
            m.lost() + lost,
            m.lostGlycol() + lostGlycol);
      }
    };
  }

  /**
   * Of a system that was drained so far, what is in it is what was poured in (1) (our judgement).
   */
  private static final double DRAINED = 0.1;

  /** More than it holds by this is an entry that is wrong (1) (our judgement, untested). */
  private static final double OVER = 1.1;

  /** A strength that fell by so much freezes some kelvins earlier (1) (our judgement, untested). */
  private static final double WEAKENED = 0.05;

  /** Whether it is weaker than it was at the beginning. */
  public boolean isWeakened() {
    return now().volume() > 0 && now().strength() < moments.get(0).strength() - WEAKENED;
  }

  /** Whether it was drained as far as it goes. */
  public boolean isRenewed() {
    return moments.stream().anyMatch(m -> m.volume() < DRAINED * full);
  }

  /** Whether more is in it than it holds: an entry is too much, or it holds more. */
  public boolean isOverfull() {
    return now().volume() > OVER * full;
  }

  /** What is in it now. */
  public Moment now() {
    return moments.get(moments.size() - 1);
  }
}
