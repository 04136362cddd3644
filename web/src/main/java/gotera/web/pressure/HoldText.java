package gotera.web.pressure;

import gotera.formats.HoldJson;
import gotera.formats.ReadOutcome;
import gotera.formats.ResultJson;
import gotera.pressure.setup.HoldSetup;
import gotera.web.pressure.trace.Unreadable;
import java.util.Optional;

/** A test's description and result as they are kept: in the open formats, with their versions. */
final class HoldText {
  private HoldText() {}

  /** A description as text. Nothing is kept that cannot be read back. */
  static String of(HoldSetup hold) {
    String json = HoldJson.write(hold);
    if (find(json).isEmpty()) {
      throw new IllegalArgumentException("a description that cannot be read back: " + json);
    }
    return json;
  }

  /** The description that a text is; one that is none cannot be read. */
  static HoldSetup read(String json) {
    ReadOutcome<HoldSetup> read = HoldJson.read(json);
    if (read instanceof ReadOutcome.Accepted<HoldSetup> hold) {
      return hold.value();
    }
    throw new Unreadable(((ReadOutcome.Rejected<HoldSetup>) read).problems().get(0).sentence());
  }

  /** The description that a text is, if it is one. */
  static Optional<HoldSetup> find(String json) {
    return HoldJson.read(json) instanceof ReadOutcome.Accepted<HoldSetup> hold
        ? Optional.of(hold.value())
        : Optional.empty();
  }

  /** The result as the line that is handed out. */
  static String result(PressureTestView test) {
    return ResultJson.line(test.id().toString(), test.result(), test.hold(), test.completed());
  }
}
