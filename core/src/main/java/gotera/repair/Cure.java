package gotera.repair;

import gotera.circuit.Fastening;
import gotera.word.Worded;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;

/** What must set before it is put together, filled or pressed (common practice, no source). */
public enum Cure implements Worded {
  /** A gasket held by a little adhesive, before it is put together. */
  GASKET_ADHESIVE(Fastening.BOLTS, Duration.ofMinutes(30)),
  /** A plug set with sealant: overnight. */
  PLUG_SEALANT(Fastening.PRESSED_IN, Duration.ofHours(14));

  private final Fastening fastening;
  private final Duration lasts;

  Cure(Fastening fastening, Duration lasts) {
    this.fastening = fastening;
    this.lasts = lasts;
  }

  /** How long it takes. */
  public Duration lasts() {
    return lasts;
  }

  /** What sets once a check of the craft is made; a gasket may be fitted dry, so it is asked. */
  public static Optional<Cure> after(CraftCheck check) {
    return check == CraftCheck.PLUG_SEALED ? Optional.of(PLUG_SEALANT) : Optional.empty();
  }

  /** What may have to set at a joint that is held so. */
  public static Optional<Cure> of(Fastening fastening) {
    return Arrays.stream(values()).filter(c -> c.fastening == fastening).findFirst();
  }
}
