package gotera.web.camera;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gotera.dial.Dial;
import gotera.dial.DialReading;
import gotera.dial.NeedleFinder;
import gotera.web.frame.NotFound;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.pressure.PressureService;
import gotera.web.pressure.Readings;
import gotera.web.pressure.TypedReading;
import gotera.web.pressure.trace.Reading;
import gotera.web.pressure.trace.Written;
import gotera.web.storage.Write;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps dials, and reads needles by them. */
@Service
class CameraService {
  private static final long MOST_FINDERS = 50;

  private final JdbcTemplate database;
  private final PressureService tests;
  private final Readings readings;
  private final PhotoService photos;
  private final Clock clock;
  private final Cache<String, NeedleFinder> finders =
      Caffeine.newBuilder().maximumSize(MOST_FINDERS).build();

  CameraService(
      JdbcTemplate database,
      PressureService tests,
      Readings readings,
      PhotoService photos,
      Clock clock) {
    this.database = database;
    this.tests = tests;
    this.readings = readings;
    this.photos = photos;
    this.clock = clock;
  }

  /** Which of two readings. */
  enum End {
    FIRST,
    LAST
  }

  /** A reading that was typed beside one that was read. */
  record Beside(OptionalDouble typed, OptionalDouble read) {}

  /** A dial as it is kept. */
  record Kept(
      Dial dial,
      UUID still,
      Optional<UUID> firstPhoto,
      Optional<UUID> lastPhoto,
      Beside first,
      Beside last) {}

  private static OptionalDouble figure(ResultSet row, String column) throws SQLException {
    double value = row.getDouble(column);
    return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static Optional<UUID> id(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getString(column)).map(UUID::fromString);
  }

  /** The dial of a test. */
  @Transactional(readOnly = true)
  public Optional<Kept> of(UUID test) {
    return database
        .query(
            "select touched, still_photo_id, first_photo_id, last_photo_id, typed_first_kpa,"
                + " read_first_kpa, typed_last_kpa, read_last_kpa from dial"
                + " where pressure_test_id = ?",
            (row, n) ->
                new Kept(
                    DialText.read(row.getString("touched")),
                    id(row, "still_photo_id").orElseThrow(),
                    id(row, "first_photo_id"),
                    id(row, "last_photo_id"),
                    new Beside(figure(row, "typed_first_kpa"), figure(row, "read_first_kpa")),
                    new Beside(figure(row, "typed_last_kpa"), figure(row, "read_last_kpa"))),
            test.toString())
        .stream()
        .findFirst();
  }

  /** Reads the still by the dial that was touched on it. */
  public DialReading read(Dial dial, Photograph still) {
    return new NeedleFinder(dial, Frames.of(still)).read(Frames.of(still));
  }

  /** Keeps a dial in place of any before; the pictures that were kept by that one stay. */
  @Write
  public void touched(UUID test, Dial dial, Photograph still, String by) {
    UUID photo = photos.keep(tests.where(test).jobId(), still, by);
    database.update(
        "insert into dial (pressure_test_id, touched, still_photo_id, set_at, set_by)"
            + " values (?, ?, ?, ?, ?) on duplicate key update touched = values(touched),"
            + " still_photo_id = values(still_photo_id), set_at = values(set_at),"
            + " set_by = values(set_by)",
        test.toString(),
        DialText.of(dial),
        photo.toString(),
        LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
        by);
  }

  private NeedleFinder finder(UUID test, Kept kept) {
    return finders.get(
        test + " " + kept.still(),
        key -> new NeedleFinder(kept.dial(), Frames.of(photos.kept(kept.still()).orElseThrow())));
  }

  /** Reads a frame by the dial of the test; not found where none was touched. */
  public DialReading read(UUID test, Photograph frame) {
    Kept kept = of(test).orElseThrow(() -> new NotFound("dial of " + test));
    return finder(test, kept).read(Frames.of(frame));
  }

  /** Keeps what was read of a frame; the frames of the first and the last are kept, too. */
  @Write
  public Written keep(
      UUID test, UUID entry, Photograph frame, double kilopascals, boolean last, String by) {
    Written added =
        readings.add(
            test,
            Optional.of(
                new TypedReading(
                    entry,
                    new Reading(readings.running(test).now(), kilopascals, OptionalDouble.empty()),
                    false,
                    false)),
            Optional.empty(),
            by);
    if (added.isDone() && (last || of(test).flatMap(Kept::firstPhoto).isEmpty())) {
      keep(test, frame, last ? End.LAST : End.FIRST, kilopascals, by);
    }
    return added;
  }

  private void keep(UUID test, Photograph frame, End end, double read, String by) {
    UUID photo = photos.keep(tests.where(test).jobId(), frame, by);
    database.update(
        end == End.LAST
            ? "update dial set last_photo_id = ?, read_last_kpa = ? where pressure_test_id = ?"
            : "update dial set first_photo_id = ?, read_first_kpa = ? where pressure_test_id = ?",
        photo.toString(),
        read,
        test.toString());
  }

  /** Keeps what somebody read beside the camera. */
  @Write
  public void beside(UUID test, End end, double typed) {
    database.update(
        end == End.LAST
            ? "update dial set typed_last_kpa = ? where pressure_test_id = ?"
            : "update dial set typed_first_kpa = ? where pressure_test_id = ?",
        typed,
        test.toString());
  }
}
