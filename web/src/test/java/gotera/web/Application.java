package gotera.web;

import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicReference;
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

  /** What a program that watches sends. */
  static final String WATCH = "watches-the-machine-of-tests";

  private static Running running;

  /** Number of the process that runs tests beside others, from 1; each has all of its own. */
  static final int FORK = Integer.getInteger("test.fork", 1);

  /** A folder of this process alone. */
  static Path own(String name) {
    return Path.of("target", name + "-" + FORK).toAbsolutePath();
  }

  /** From where on this process looks for a free port, so that two do not look at the same. */
  static String ports(int from) {
    return Integer.toString(from + 100 * FORK);
  }

  /** The running application. */
  record Running(
      ConfigurableApplicationContext context,
      Browser browser,
      Path database,
      AtomicReference<Server> other,
      Sessions sessions)
      implements AutoCloseable {

    /** A second process on the same database, with the limits as they are shipped. */
    synchronized Server second() {
      if (other.get() == null) {
        other.set(Server.start("second-process-" + FORK, Server.database(database)));
      }
      return other.get();
    }

    String address() {
      return "http://127.0.0.1:" + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    <T> T bean(Class<T> type) {
      return context.getBean(type);
    }

    @Override
    public void close() {
      browser.close();
      if (other.get() != null) {
        other.get().close();
      }
      context.close();
      Script.run("database", "stop", database.toString());
    }
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
    return parameter.getParameter().getType() == Running.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
    return running();
  }

  /** Processes side by side are handed one class after another, each a run of its own. */
  private static synchronized Running running() {
    if (running == null) {
      running = start();
      Runtime.getRuntime().addShutdownHook(new Thread(running::close));
    }
    return running;
  }

  private static Running start() {
    Path database = own("test-database");
    Script.run("database", "stop", database.toString());
    Script.delete(database);
    String port = Script.run("database", "start", database.toString(), ports(24160));
    ConfigurableApplicationContext context =
        new SpringApplicationBuilder(GoteraApplication.class)
            .web(WebApplicationType.SERVLET)
            .run(
                "--server.port=0",
                "--gotera.database.url=jdbc:mariadb://127.0.0.1:" + port + "/gotera",
                "--gotera.database.password=" + Script.read(database.resolve("password")),
                "--gotera.limits.sign-ins-per-minute=600",
                "--gotera.limits.entries-per-minute=60000",
                "--gotera.limits.uploads-per-minute=60000",
                // a simulated gauge that does nothing: what it does is tried by its drill
                "--gotera.stand-in.command=/bin/true",
                "--gotera.watch.token=" + WATCH,
                "--gotera.demo.password=" + PASSWORD);
    return new Running(context, new Browser(), database, new AtomicReference<>(), new Sessions());
  }
}
