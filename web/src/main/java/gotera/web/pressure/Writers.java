package gotera.web.pressure;

import gotera.web.pressure.WritesByItself.Writer;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Which gauge writes into a test, whatever feature it belongs to. */
@Component
public class Writers {
  private final List<WritesByItself> all;

  Writers(List<WritesByItself> all) {
    this.all = all;
  }

  /** The gauge that writes into a test, if one does. */
  public Optional<Writer> at(UUID testId) {
    return all.stream().flatMap(w -> w.at(testId).stream()).findFirst();
  }

  /**
   * The gauge beside which nothing else may be read: it writes now, and another instrument has
   * another zero.
   */
  public Optional<Writer> alone(UUID testId) {
    return at(testId).filter(w -> !w.attention());
  }
}
