package gotera.refill;

import gotera.refill.FillAccount.Entry;
import gotera.refill.FillAccount.Kind;
import gotera.word.Worded;

/** What can happen to the coolant in a system, as the account keeps it. */
public enum FillEntryKind implements Worded {
  /** To the brim, with water or a mix. */
  BRIM(Kind.TO_THE_BRIM, true),
  /** Poured in, not to the brim. */
  IN(Kind.IN, true),
  /** Drained. */
  DRAINED(Kind.OUT, false),
  /** Drained and caught clean: it goes back. */
  DRAINED_CLEAN(Kind.OUT, false),
  /** Caught while it leaked. */
  CAUGHT(Kind.OUT, false),
  /** Spilled. */
  SPILLED(Kind.OUT, false),
  /** Let out under pressure, to measure. */
  DRAWN(Kind.OUT, false),
  /** Pushed in under pressure, to measure: of what is in it. */
  PUSHED_IN(Kind.IN_SAME, true),
  /** Drawn down for a guided check. */
  DRAWN_DOWN(Kind.OUT, false),
  /** Water put in during a guided check. */
  WATER(Kind.IN, true),
  /** Coolant as it is in there put in during a guided check. */
  COOLANT(Kind.IN_SAME, true),
  /** A refractometer was read. */
  MEASURED(Kind.MEASURED, false),
  /** Put back. */
  PUT_BACK(Kind.IN, true);

  private final Kind kind;
  private final boolean adds;

  FillEntryKind(Kind kind, boolean adds) {
    this.kind = kind;
    this.adds = adds;
  }

  /** Whether it adds to what is in the system. */
  public boolean in() {
    return adds;
  }

  /** Whether somebody writes it down here; the others come from tests and readings. */
  public boolean written() {
    return this != PUSHED_IN && this != DRAWN && this != MEASURED && !guided();
  }

  /** Whether what went in has a strength of its own. */
  public boolean strengthMatters() {
    return kind == Kind.IN || kind == Kind.TO_THE_BRIM;
  }

  /** Whether it is a step of a guided check, and taken back there. */
  public boolean guided() {
    return this == DRAWN_DOWN || this == WATER || this == COOLANT;
  }

  /**
   * The entry of the account.
   *
   * @param millilitres how much (mL), 0 or above
   * @param strength strength of what went in (1)
   */
  public Entry entry(double millilitres, double strength) {
    return new Entry(kind, millilitres, strength);
  }
}
