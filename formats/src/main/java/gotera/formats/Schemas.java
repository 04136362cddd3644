package gotera.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;

/** The published JSON Schemas (draft 2020-12) of the formats. */
public final class Schemas {
  private Schemas() {}

  /** Of a hold description, gotera-hold/1. */
  public static String hold() {
    return read("gotera-hold-1.schema.json");
  }

  /** Of a job, gotera-job/1. */
  public static String job() {
    return read("gotera-job-1.schema.json");
  }

  private static String read(String name) {
    try (InputStream stream =
        Objects.requireNonNull(Schemas.class.getResourceAsStream(name), name)) {
      return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(name, e);
    }
  }
}
