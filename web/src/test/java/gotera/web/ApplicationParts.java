package gotera.web;

import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** The same application as {@link Application}, for tests inside a feature: hands out its parts. */
public final class ApplicationParts implements ParameterResolver {
  private final Application application = new Application();

  /** The parts of the running application. */
  public interface Beans {
    /** One part. */
    <T> T of(Class<T> type);
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
    return parameter.getParameter().getType() == Beans.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
    Application.Running running =
        (Application.Running) application.resolveParameter(parameter, extension);
    return new Beans() {
      @Override
      public <T> T of(Class<T> type) {
        return running.bean(type);
      }
    };
  }
}
