package gotera.web.equipment;

import gotera.pressure.compliance.PlugCheck;
import gotera.web.frame.NotFound;
import gotera.web.storage.Entries;
import gotera.web.storage.Identifiers;
import gotera.web.storage.Write;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the workshop measures with. */
@Service
public class EquipmentService {
  private final EquipmentRecords equipment;
  private final PlugCheckRecords checks;
  private final Entries entries;
  private final Identifiers identifiers;
  private final Clock clock;

  EquipmentService(
      EquipmentRecords equipment,
      PlugCheckRecords checks,
      Entries entries,
      Identifiers identifiers,
      Clock clock) {
    this.entries = entries;
    this.equipment = equipment;
    this.checks = checks;
    this.identifiers = identifiers;
    this.clock = clock;
  }

  /** Everything, what is in use first. */
  @Transactional(readOnly = true)
  public List<EquipmentView> all() {
    return equipment.findAllByOrderByRetiredAscKindDescNameAsc().stream().map(this::view).toList();
  }

  /** What is in use and passes a test. */
  @Transactional(readOnly = true)
  public List<EquipmentView> inUse(java.util.function.Predicate<EquipmentKind> kinds) {
    return all().stream().filter(e -> !e.retired() && kinds.test(e.kind())).toList();
  }

  /** One piece by its identifier as it stands in a form; empty where nothing was chosen. */
  @Transactional(readOnly = true)
  public Optional<EquipmentView> find(String id) {
    return id.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
        ? equipment.findById(UUID.fromString(id)).map(this::view)
        : Optional.empty();
  }

  /** One piece, or not found. */
  @Transactional(readOnly = true)
  public EquipmentView require(UUID id) {
    return view(record(id));
  }

  /** Today, in the workshop. */
  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
  }

  /** A tester's own leak, if it was checked against a plug today. */
  public Optional<EquipmentView.OwnLeak> ownLeakToday(EquipmentView tester) {
    return tester
        .ownLeak()
        .filter(l -> LocalDate.ofInstant(l.at(), ZoneId.systemDefault()).equals(today()));
  }

  /** Whether another piece is called so. */
  @Transactional(readOnly = true)
  boolean taken(String name, @Nullable UUID by) {
    return equipment.findByName(name).filter(e -> !e.id.equals(by)).isPresent();
  }

  /** Adds a piece as another one is described; its identifier is new. */
  @Write
  public UUID put(EquipmentView e) {
    return add(
        e.kind(),
        r -> {
          r.name = e.name();
          r.readingMode = e.readingMode();
          r.resolution = boxed(e.resolution());
          r.repeatability = boxed(e.repeatability());
          r.zeroDrift = boxed(e.zeroDrift());
          r.rangeKpa = boxed(e.rangeKpa());
          r.calibrationDue = e.calibrationDue().orElse(null);
          r.strokeMl = boxed(e.strokeMl());
          r.airMl = boxed(e.airMl());
          r.fits = e.fits();
        });
  }

  /** Adds a piece. */
  @Write
  UUID add(EquipmentKind kind, Consumer<EquipmentRecord> write) {
    entries.claim();
    EquipmentRecord record = new EquipmentRecord(identifiers.next(), kind);
    write.accept(record);
    equipment.save(record);
    return record.id;
  }

  /**
   * Changes a piece.
   *
   * @param version version that was read; an older one is refused
   */
  @Write
  void change(UUID id, int version, Consumer<EquipmentRecord> write) {
    EquipmentRecord record = record(id);
    if (record.version == null || record.version != version) {
      throw new OptimisticLockingFailureException("equipment " + id);
    }
    write.accept(record);
    equipment.saveAndFlush(record);
  }

  /** Keeps a check against a plug. */
  @Write
  public void check(UUID id, PlugCheck check, String by) {
    entries.claim();
    PlugCheckRecord record = new PlugCheckRecord(identifiers.next(), id, clock.instant(), by);
    record.beforeKpa = check.before().kilopascals();
    record.afterKpa = check.after().kilopascals();
    record.minutes = check.minutes();
    record.ownLeak = check.rate();
    record.ownLeakUncertainty = check.u();
    checks.save(record);
  }

  private EquipmentRecord record(UUID id) {
    return equipment.findById(id).orElseThrow(() -> new NotFound("equipment " + id));
  }

  private EquipmentView view(EquipmentRecord e) {
    return new EquipmentView(
        e.id,
        EquipmentKind.of(e.kind),
        e.name,
        e.readingMode,
        optional(e.resolution),
        optional(e.repeatability),
        optional(e.zeroDrift),
        optional(e.rangeKpa),
        Optional.ofNullable(e.calibrationDue),
        optional(e.strokeMl),
        optional(e.airMl),
        e.fits,
        e.retired,
        checks
            .findFirstByEquipmentIdOrderByWrittenAtDesc(e.id)
            .map(c -> new EquipmentView.OwnLeak(c.ownLeak, c.ownLeakUncertainty, c.writtenAt)),
        e.version == null ? 0 : e.version);
  }

  private static @Nullable Double boxed(OptionalDouble value) {
    return value.isPresent() ? value.getAsDouble() : null;
  }

  private static OptionalDouble optional(@Nullable Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
