package gotera.repair;

import gotera.circuit.Circuit.Joint;
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
  TIGHT_BEFORE(EnumSet.of(Fastening.CRIMP, Fastening.SOLDERED));

  private final Set<Fastening> fastenings;

  CraftCheck(Set<Fastening> fastenings) {
    this.fastenings = fastenings;
  }

  /** Screwed joints with a ring of their own inside. */
  private static final Set<String> RINGED = Set.of("radiator.drain-tap");

  /** The checks of a joint, in the order of the work. */
  public static List<CraftCheck> of(Joint joint) {
    boolean ringed = RINGED.contains(joint.code());
    return Arrays.stream(values())
        .filter(
            c ->
                c.fastenings.contains(joint.fastening())
                    || ringed && c.fastenings.contains(Fastening.O_RING))
        .toList();
  }

  /** The checks of a joint that is held so. */
  public static List<CraftCheck> of(Fastening fastening) {
    return Arrays.stream(values()).filter(c -> c.fastenings.contains(fastening)).toList();
  }
}
