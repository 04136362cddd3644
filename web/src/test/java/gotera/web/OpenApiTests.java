package gotera.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openapitools.codegen.DefaultGenerator;
import org.openapitools.codegen.config.CodegenConfigurator;
import tools.jackson.databind.json.JsonMapper;

/** What devices speak to is described, and whoever builds a client from that alone gets on. */
@ExtendWith(Application.class)
class OpenApiTests {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** The description as the application gives it; {@code docs} holds the same. */
  private static final Path KEPT = Path.of("..", "docs", "openapi.json");

  @Test
  void theDescriptionIsWhatTheDocumentsSay(Application.Running application) throws IOException {
    String given = new Http(application.address()).get("/api/openapi.json").text();
    String pretty =
        JSON.writerWithDefaultPrettyPrinter().writeValueAsString(JSON.readTree(given)) + "\n";
    Path now = Path.of("target", "openapi.json");
    Files.writeString(now, pretty);
    assertThat(Files.readString(KEPT)).as("what is in %s belongs in docs", now).isEqualTo(pretty);
    assertThat(JSON.readTree(given).get("paths").propertyNames())
        .containsExactlyInAnyOrder("/api/gauges/pair", "/api/gauges/readings");
  }

  /** A client made by a general generator, which knows nothing of us, pairs and writes. */
  @Test
  void aGeneratedClientPairsAndWrites(Application.Running application, @TempDir Path folder)
      throws Exception {
    generate(folder.resolve("source"));
    Path classes = compile(folder.resolve("source"), folder.resolve("classes"));
    Http bench = Http.signedIn(application.address(), "bench", Application.PASSWORD);
    Http.Begun begun = bench.begin();
    bench.post("/tests/" + begun.test() + "/gauges/code", Map.of());
    String code =
        bench
            .get("/tests/" + begun.test() + "/gauges")
            .find("gauge-code\">([A-Z2-7]{4} [A-Z2-7]{4})<");
    try (URLClassLoader loader =
        new URLClassLoader(new URL[] {classes.toUri().toURL()}, getClass().getClassLoader())) {
      Client client = new Client(loader, application.address());
      Object paired =
          client.call(
              "pair",
              "Pairing",
              Map.of("code", code, "name", "generated", "step", 0.1, "simulated", true));
      client.token(get(paired, "Token"));
      Object answer =
          client.call(
              "sendReadings",
              "Batch",
              Map.of(
                  "clock",
                  "one",
                  "sent",
                  5,
                  "readings",
                  List.of(
                      Map.of("number", 1, "at", 5.1, "pressure", 90.5),
                      Map.of("number", 2, "at", 6.1, "pressure", 90.4))));
      assertThat(get(answer, "Through")).isEqualTo("2");
      assertThat(get(answer, "Kept")).isEqualTo("2");
    }
    assertThat(bench.get(begun.job() + "/pressure-test").text()).contains("90.4");
  }

  private static String get(Object from, String member) throws ReflectiveOperationException {
    return String.valueOf(from.getClass().getMethod("get" + member).invoke(from));
  }

  private static void generate(Path into) {
    CodegenConfigurator configurator =
        new CodegenConfigurator()
            .setGeneratorName("java")
            .setLibrary("native")
            .setInputSpec(KEPT.toAbsolutePath().normalize().toString())
            .setOutputDir(into.toString())
            .setApiPackage("generated.api")
            .setModelPackage("generated.model")
            .setInvokerPackage("generated")
            .addAdditionalProperty("openApiNullable", "false")
            .addAdditionalProperty("useJakartaEe", "true")
            .addAdditionalProperty("hideGenerationTimestamp", "true");
    DefaultGenerator generator = new DefaultGenerator();
    generator.setGenerateMetadata(false);
    generator.opts(configurator.toClientOptInput()).generate();
  }

  private static Path compile(Path source, Path classes) throws IOException {
    Files.createDirectories(classes);
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    StringWriter said = new StringWriter();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
        Stream<Path> all = Files.walk(source.resolve("src/main/java"))) {
      List<Path> sources = all.filter(p -> p.toString().endsWith(".java")).toList();
      assertThat(sources).hasSizeGreaterThan(5);
      boolean done =
          compiler
              .getTask(
                  said,
                  files,
                  null,
                  List.of(
                      "-d",
                      classes.toString(),
                      "-proc:none",
                      "-classpath",
                      System.getProperty("java.class.path")),
                  null,
                  files.getJavaFileObjectsFromPaths(sources))
              .call();
      assertThat(done).as(said.toString()).isTrue();
    }
    return classes;
  }

  /** The generated client, called by name. */
  private static final class Client {
    private final ClassLoader loader;
    private final Object inner;

    Client(ClassLoader loader, String address) throws ReflectiveOperationException {
      this.loader = loader;
      inner = loader.loadClass("generated.ApiClient").getConstructor().newInstance();
      inner.getClass().getMethod("updateBaseUri", String.class).invoke(inner, address);
    }

    void token(String token) throws ReflectiveOperationException {
      java.util.function.Consumer<java.net.http.HttpRequest.Builder> sign =
          request -> request.header("Authorization", "Bearer " + token);
      inner
          .getClass()
          .getMethod("setRequestInterceptor", java.util.function.Consumer.class)
          .invoke(inner, sign);
    }

    Object call(String operation, String model, Map<String, Object> members)
        throws ReflectiveOperationException {
      Object mapper = inner.getClass().getMethod("getObjectMapper").invoke(inner);
      Class<?> type = loader.loadClass("generated.model." + model);
      Object body =
          mapper
              .getClass()
              .getMethod("convertValue", Object.class, Class.class)
              .invoke(mapper, members, type);
      Class<?> api = loader.loadClass("generated.api.GaugesApi");
      Object gauges = api.getConstructor(inner.getClass()).newInstance(inner);
      Method method = api.getMethod(operation, type);
      return method.invoke(gauges, body);
    }
  }
}
