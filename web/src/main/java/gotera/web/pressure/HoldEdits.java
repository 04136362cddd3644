package gotera.web.pressure;

import gotera.formats.HoldDescription;
import gotera.formats.HoldDescription.DrawMember;
import java.util.Optional;

/** Changes to a hold description; the rest stays. */
final class HoldEdits {
  private HoldEdits() {}

  static HoldDescription withDraws(
      HoldDescription h, Optional<DrawMember> measuring, Optional<DrawMember> closing) {
    return new HoldDescription(
        h.ratedKpa(),
        h.limitKpa(),
        h.limitFromMaker(),
        h.atmosphereKpa(),
        h.ambientC(),
        h.liquidMl(),
        h.strength(),
        h.compliance().withDraws(measuring.stream().toList()),
        h.gauge(),
        h.thermometer(),
        h.ownLeak(),
        h.ownLeakU(),
        h.soakHours(),
        h.pumpedUntilS(),
        h.pumpedFromKpa(),
        h.releasedBeforeMin(),
        h.earlier(),
        closing,
        h.purpose(),
        h.acceptance(),
        h.makerRule(),
        h.windowS());
  }
}
