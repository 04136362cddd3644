package gotera.formats;

import gotera.formats.HoldDescription.Compliance;
import gotera.formats.HoldDescription.DrawMember;
import gotera.formats.HoldDescription.EarlierMember;
import gotera.formats.HoldDescription.GaugeMember;
import gotera.formats.HoldDescription.RuleMember;
import gotera.formats.HoldDescription.ThermometerMember;
import gotera.pressure.law.Medium;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A hold description under construction or being changed; what is not set is absent. */
public final class HoldEdit {
  private double ratedKpa;
  private OptionalDouble limitKpa = OptionalDouble.empty();
  private boolean limitFromMaker = false;
  private OptionalDouble atmosphereKpa = OptionalDouble.empty();
  private OptionalDouble ambientC = OptionalDouble.empty();
  private double liquidMl;
  private OptionalDouble strength = OptionalDouble.empty();
  private Compliance compliance;
  private Optional<GaugeMember> gauge = Optional.empty();
  private Optional<ThermometerMember> thermometer = Optional.empty();
  private OptionalDouble ownLeak = OptionalDouble.empty();
  private OptionalDouble ownLeakU = OptionalDouble.empty();
  private OptionalDouble soakHours = OptionalDouble.empty();
  private OptionalDouble pumpedUntilS = OptionalDouble.empty();
  private OptionalDouble pumpedFromKpa = OptionalDouble.empty();
  private OptionalDouble releasedBeforeMin = OptionalDouble.empty();
  private List<EarlierMember> earlier = List.of();
  private Optional<DrawMember> closingDraw = Optional.empty();
  private Optional<String> purpose = Optional.empty();
  private OptionalDouble acceptance = OptionalDouble.empty();
  private Optional<RuleMember> makerRule = Optional.empty();
  private Optional<List<Double>> windowS = Optional.empty();
  private Medium medium = Medium.LIQUID;

  HoldEdit(double ratedKpa, double liquidMl, Compliance compliance) {
    this.ratedKpa = ratedKpa;
    this.liquidMl = liquidMl;
    this.compliance = compliance;
  }

  HoldEdit(HoldDescription h) {
    this.ratedKpa = h.ratedKpa();
    this.limitKpa = h.limitKpa();
    this.limitFromMaker = h.limitFromMaker();
    this.atmosphereKpa = h.atmosphereKpa();
    this.ambientC = h.ambientC();
    this.liquidMl = h.liquidMl();
    this.strength = h.strength();
    this.compliance = h.compliance();
    this.gauge = h.gauge();
    this.thermometer = h.thermometer();
    this.ownLeak = h.ownLeak();
    this.ownLeakU = h.ownLeakU();
    this.soakHours = h.soakHours();
    this.pumpedUntilS = h.pumpedUntilS();
    this.pumpedFromKpa = h.pumpedFromKpa();
    this.releasedBeforeMin = h.releasedBeforeMin();
    this.earlier = h.earlier();
    this.closingDraw = h.closingDraw();
    this.purpose = h.purpose();
    this.acceptance = h.acceptance();
    this.makerRule = h.makerRule();
    this.windowS = h.windowS();
    this.medium = h.medium();
  }

  /** Sets {@link HoldDescription#ratedKpa}. */
  public HoldEdit ratedKpa(double value) {
    ratedKpa = value;
    return this;
  }

  /** Sets {@link HoldDescription#limitKpa}. */
  public HoldEdit limitKpa(OptionalDouble value) {
    limitKpa = value;
    return this;
  }

  /** Sets {@link HoldDescription#limitFromMaker}. */
  public HoldEdit limitFromMaker(boolean value) {
    limitFromMaker = value;
    return this;
  }

  /** Sets {@link HoldDescription#atmosphereKpa}. */
  public HoldEdit atmosphereKpa(OptionalDouble value) {
    atmosphereKpa = value;
    return this;
  }

  /** Sets {@link HoldDescription#ambientC}. */
  public HoldEdit ambientC(OptionalDouble value) {
    ambientC = value;
    return this;
  }

  /** Sets {@link HoldDescription#strength}. */
  public HoldEdit strength(OptionalDouble value) {
    strength = value;
    return this;
  }

  /** Sets {@link HoldDescription#compliance}. */
  public HoldEdit compliance(Compliance value) {
    compliance = value;
    return this;
  }

  /** Sets {@link HoldDescription#gauge}. */
  public HoldEdit gauge(Optional<GaugeMember> value) {
    gauge = value;
    return this;
  }

  /** Sets {@link HoldDescription#thermometer}. */
  public HoldEdit thermometer(Optional<ThermometerMember> value) {
    thermometer = value;
    return this;
  }

  /** Sets {@link HoldDescription#ownLeak}. */
  public HoldEdit ownLeak(OptionalDouble value) {
    ownLeak = value;
    return this;
  }

  /** Sets {@link HoldDescription#ownLeakU}. */
  public HoldEdit ownLeakU(OptionalDouble value) {
    ownLeakU = value;
    return this;
  }

  /** Sets {@link HoldDescription#soakHours}. */
  public HoldEdit soakHours(OptionalDouble value) {
    soakHours = value;
    return this;
  }

  /** Sets {@link HoldDescription#releasedBeforeMin}. */
  public HoldEdit releasedBeforeMin(OptionalDouble value) {
    releasedBeforeMin = value;
    return this;
  }

  /** Sets {@link HoldDescription#earlier}. */
  public HoldEdit earlier(List<EarlierMember> value) {
    earlier = value;
    return this;
  }

  /** Sets {@link HoldDescription#closingDraw}. */
  public HoldEdit closingDraw(Optional<DrawMember> value) {
    closingDraw = value;
    return this;
  }

  /** Sets {@link HoldDescription#purpose}. */
  public HoldEdit purpose(Optional<String> value) {
    purpose = value;
    return this;
  }

  /** Sets {@link HoldDescription#acceptance}. */
  public HoldEdit acceptance(OptionalDouble value) {
    acceptance = value;
    return this;
  }

  /** Sets {@link HoldDescription#makerRule}. */
  public HoldEdit makerRule(Optional<RuleMember> value) {
    makerRule = value;
    return this;
  }

  /** Sets {@link HoldDescription#windowS}. */
  public HoldEdit windowS(Optional<List<Double>> value) {
    windowS = value;
    return this;
  }

  /** Sets {@link HoldDescription#medium}. */
  public HoldEdit medium(Medium value) {
    medium = value;
    return this;
  }

  /** The description. */
  public HoldDescription done() {
    return new HoldDescription(
        ratedKpa,
        limitKpa,
        limitFromMaker,
        atmosphereKpa,
        ambientC,
        liquidMl,
        strength,
        compliance,
        gauge,
        thermometer,
        ownLeak,
        ownLeakU,
        soakHours,
        pumpedUntilS,
        pumpedFromKpa,
        releasedBeforeMin,
        earlier,
        closingDraw,
        purpose,
        acceptance,
        makerRule,
        windowS,
        medium);
  }
}
