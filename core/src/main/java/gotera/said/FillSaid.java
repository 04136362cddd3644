package gotera.said;

import gotera.coolant.FreezingPoint.Glycol;
import gotera.refill.FillEntryKind;

/** What went in and out of a system, and how strong it is. */
public sealed interface FillSaid extends Said {
  /**
   * A volume that went in or out.
   *
   * @param kind what happened to it
   * @param millilitres how much (mL)
   * @param strength strength of what went in (1); 0 where it has none of its own
   */
  record Booked(FillEntryKind kind, double millilitres, double strength) implements FillSaid {}

  /**
   * What was drained at a place; the note says where it went.
   *
   * @param at code of the joint that was opened
   * @param millilitres how much (mL)
   * @param clean whether it was caught clean and goes back
   */
  record Drained(String at, double millilitres, boolean clean) implements FillSaid {
    /** What it is in the account. */
    public FillEntryKind kind() {
      return clean ? FillEntryKind.DRAINED_CLEAN : FillEntryKind.DRAINED;
    }
  }

  /**
   * A refractometer was read.
   *
   * @param glycol whose scale
   * @param celsius temperature at which it freezes (°C)
   * @param strength the strength that is (1)
   */
  record StrengthRead(Glycol glycol, double celsius, double strength) implements FillSaid {}
}
