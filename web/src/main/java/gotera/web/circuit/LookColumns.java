package gotera.web.circuit;

import gotera.look.LookState;
import gotera.look.Sight;
import gotera.web.storage.WordColumn;
import jakarta.persistence.Converter;

/** Columns of a look. */
final class LookColumns {
  private LookColumns() {}

  /** What was seen. */
  @Converter(autoApply = true)
  static class OfSight extends WordColumn<Sight> {
    OfSight() {
      super(Sight.class);
    }
  }

  /** In which state. */
  @Converter(autoApply = true)
  static class OfState extends WordColumn<LookState> {
    OfState() {
      super(LookState.class);
    }
  }
}
