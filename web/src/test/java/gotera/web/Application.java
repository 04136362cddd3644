package gotera.web;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The real application on a real database, started once for all tests, by the same script that the
 * demonstration uses. A test asks for it as a parameter.
 */
public final class Application implements ParameterResolver {
  static final String PASSWORD = "only-for-tests";

  /** The running application. */
  record Running(ConfigurableApplicationContext context, Browser browser, Path database)
      implements ExtensionContext.Store.CloseableResource {

    String address() {
      return "http://127.0.0.1:" + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    <T> T bean(Class<T> type) {
      return context.getBean(type);
    }

    @Override
    public void close() {
      browser.close();
      context.close();
      script("stop", database);
    }
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
    return parameter.getParameter().getType() == Running.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
    return extension
        .getRoot()
        .getStore(ExtensionContext.Namespace.create(Application.class))
        .getOrComputeIfAbsent(Running.class, key -> start(), Running.class);
  }

  private static Running start() {
    Path database = Path.of("target", "test-database").toAbsolutePath();
    script("stop", database);
    delete(database);
    String port = script("start", database).strip();
    ConfigurableApplicationContext context =
        new SpringApplicationBuilder(GoteraApplication.class)
            .web(WebApplicationType.SERVLET)
            .run(
                "--server.port=0",
                "--gotera.database.url=jdbc:mariadb://127.0.0.1:" + port + "/gotera",
                "--gotera.database.password=" + read(database.resolve("password")),
                "--gotera.demo.password=" + PASSWORD);
    return new Running(context, new Browser(), database);
  }

  private static String script(String action, Path folder) {
    File script = new File("../scripts/database");
    try {
      Process process =
          new ProcessBuilder(List.of(script.getPath(), action, folder.toString(), "34160"))
              .redirectError(ProcessBuilder.Redirect.INHERIT)
              .redirectOutput(Path.of("target", "database-" + action).toFile())
              .start();
      if (!process.waitFor(90, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IllegalStateException("scripts/database " + action + " failed");
      }
      return read(Path.of("target", "database-" + action));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static String read(Path file) {
    try {
      return Files.readString(file, StandardCharsets.UTF_8).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void delete(Path folder) {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
