package gotera.repair;

import gotera.circuit.Fastening;
import gotera.word.Worded;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** A check of the craft at its moment (all: common practice, no source). */
public enum CraftCheck implements Worded {
  /** New beside old before it is fitted: bore, bends, fittings, holes, mounts, moved-over clips. */
  NEW_AGAINST_OLD(EnumSet.allOf(Fastening.class)),
  /** All of the old ring picked out of the bore. */
  OLD_RING_OUT(EnumSet.of(Fastening.O_RING)),
  /** Of two rings the tight one, stretched, wetted with coolant. */
  RING_TIGHT(EnumSet.of(Fastening.O_RING)),
  /** Faces clean and dry, no chips in the passages. */
  FACES_CLEAN(EnumSet.of(Fastening.BOLTS, Fastening.O_RING)),
  /** Gasket dry, or held by a little adhesive: half an hour before it is put together. */
  GASKET_HELD(EnumSet.of(Fastening.BOLTS)),
  /** All bolts by hand first, then to the maker's torque, counted. */
  BOLTS_BY_HAND(EnumSet.of(Fastening.BOLTS)),
  /** Clamp beyond the bead, not at the very end, screw reachable. */
  CLAMP_BEYOND_BEAD(EnumSet.of(Fastening.CLAMP)),
  /** Hose cut to the length of the old one. */
  HOSE_CUT(EnumSet.of(Fastening.CLAMP)),
  /** Coolant or rubber grease on rubber, never mineral grease. */
  RUBBER_WETTED(
      EnumSet.of(Fastening.CLAMP, Fastening.O_RING, Fastening.PUSH_FIT, Fastening.QUICK_CONNECTOR)),
  /** The latch is heard, and it holds when pulled. */
  LATCH_CLICKS(EnumSet.of(Fastening.QUICK_CONNECTOR)),
  /** New washer, thread clean, started by hand. */
  NEW_WASHER(EnumSet.of(Fastening.SCREW)),
  /** Bore clean and bare, sealant round the plug, driven in square; overnight. */
  PLUG_SEALED(EnumSet.of(Fastening.PRESSED_IN)),
  /** The cap replaced whole, the neck's seat clean. */
  CAP_WHOLE(EnumSet.of(Fastening.CAP)),
  /** Drain tap and fittings tight on the new part before it goes in. */
  TIGHT_BEFORE(EnumSet.of(Fastening.CRIMP, Fastening.SOLDERED)),
  /** A pump is renewed whole: its seal is not driven in. */
  PUMP_WHOLE(EnumSet.noneOf(Fastening.class)),
  /** A head goes on dry, measured, in the maker's sequence. */
  HEAD_AS_MAKER(EnumSet.noneOf(Fastening.class)),
  /** A stub of a heater core tears where a hose is twisted off it. */
  HOSE_SLIT(EnumSet.noneOf(Fastening.class)),
  /** A new part is pressed on the bench first. */
  PRESSED_FIRST(EnumSet.noneOf(Fastening.class)),
  /** A whole hose has two clamps. */
  BOTH_ENDS(EnumSet.noneOf(Fastening.class)),
  /** A drain tap is turned by hand. */
  HAND_TIGHT(EnumSet.noneOf(Fastening.class)),
  /** A neck has a ring and two gaskets, renewed together. */
  NECK_SEALS(EnumSet.noneOf(Fastening.class)),
  /** A screwed fitting has one of several seals. */
  SEAL_ASKED(EnumSet.noneOf(Fastening.class)),
  /** A banjo has a washer on each side. */
  WASHERS_BOTH(EnumSet.noneOf(Fastening.class)),
  /** A cap on a tank has a thread and a ring. */
  CAP_THREAD(EnumSet.noneOf(Fastening.class)),
  /** High voltage is for qualified people. */
  QUALIFIED(EnumSet.noneOf(Fastening.class)),
  /** What is reached with the gearbox off is looked at before it goes back. */
  GEARBOX_OFF(EnumSet.noneOf(Fastening.class)),
  /** Its housing open, the thermostat is renewed with it. */
  THERMOSTAT_TOO(EnumSet.noneOf(Fastening.class));

  private final Set<Fastening> fastenings;

  CraftCheck(Set<Fastening> fastenings) {
    this.fastenings = fastenings;
  }

  /** The checks of a joint that is held so. */
  public static List<CraftCheck> of(Fastening fastening) {
    return Arrays.stream(values()).filter(c -> c.fastenings.contains(fastening)).toList();
  }
}
