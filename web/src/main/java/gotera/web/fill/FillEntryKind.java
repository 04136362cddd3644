package gotera.web.fill;

import gotera.refill.FillAccount.Entry;
import gotera.refill.FillAccount.Kind;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What can be written into the account. */
enum FillEntryKind {
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
  private final boolean in;

  FillEntryKind(Kind kind, boolean in) {
    this.kind = kind;
    this.in = in;
  }

  boolean in() {
    return in;
  }

  String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether somebody writes it down here; the others come from tests and readings. */
  boolean written() {
    return this != PUSHED_IN && this != DRAWN && this != MEASURED && !guided();
  }

  /** Whether what went in has a strength of its own. */
  boolean strengthMatters() {
    return kind == Kind.IN || kind == Kind.TO_THE_BRIM;
  }

  /** Whether it is a step of a guided check, and taken back there. */
  boolean guided() {
    return this == DRAWN_DOWN || this == WATER || this == COOLANT;
  }

  static Optional<FillEntryKind> of(String word) {
    return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
  }

  Entry entry(double millilitres, double strength) {
    return new Entry(kind, millilitres, strength);
  }
}
