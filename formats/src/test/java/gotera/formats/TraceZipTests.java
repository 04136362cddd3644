package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.ReadOutcome.Accepted;
import gotera.formats.ReadOutcome.Rejected;
import gotera.pressure.trace.Trace;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class TraceZipTests {
  private static final String CSV = "elapsed_s,gauge_kpa\n0,120\n60,119.5\n";

  @Test
  void readsTheOneCsv() throws IOException {
    Map<String, String> files = new LinkedHashMap<>();
    files.put("about.txt", "logger 3");
    files.put("today/Hold.CSV", CSV);
    byte[] zip = zip(files);
    assertThat(TraceZip.looksLikeOne(zip)).isTrue();
    assertThat(TraceZip.looksLikeOne(CSV.getBytes(StandardCharsets.UTF_8))).isFalse();
    assertThat(TraceZip.read(new ByteArrayInputStream(zip)))
        .isInstanceOfSatisfying(
            Accepted.class, a -> assertThat(((Trace) a.value()).size()).isEqualTo(2));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "../hold.csv",
        "/etc/hold.csv",
        "a/../../hold.csv",
        "C:\\hold.csv",
        "a\\..\\b.csv"
      })
  void refusesPathsThatLeadOutside(String name) throws IOException {
    assertThat(problem(zip(Map.of(name, CSV)))).contains("names of files inside the ZIP");
  }

  @Test
  void refusesTwoCurvesAndNone() throws IOException {
    assertThat(problem(zip(Map.of("a.csv", CSV, "b.csv", CSV)))).contains("there is another");
    assertThat(problem(zip(Map.of("a.txt", CSV)))).contains("no CSV file");
  }

  @Test
  void refusesWhatIsCutOff() throws IOException {
    byte[] zip = zip(Map.of("a.csv", CSV.repeat(50)));
    assertThat(problem(Arrays.copyOf(zip, zip.length / 2))).contains("a whole ZIP file");
  }

  /** What 120 MB are filled with, packed to some 120 kB, and the reason for which they are left. */
  static Stream<Arguments> bombs() {
    return Stream.of(
        Arguments.of("\n", "more lines"),
        Arguments.of("1", "a row without end"),
        Arguments.of("\"\n", "2 cells as in the header"));
  }

  @ParameterizedTest
  @MethodSource("bombs")
  void aBombIsRefusedByWhatItIs(String filling, String reason) throws IOException {
    byte[] bomb = bomb(filling, 120);
    assertThat(bomb.length).isLessThan(3_000_000);
    assertThat(problem(bomb)).contains(reason);
  }

  @Test
  void aBombBesideTheCurveIsRefusedToo() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("a.csv"));
      zip.write(CSV.getBytes(StandardCharsets.UTF_8));
      zip.putNextEntry(new ZipEntry("zeros.bin"));
      byte[] megabyte = new byte[1 << 20];
      for (int i = 0; i < 220; i++) {
        zip.write(megabyte);
      }
    }
    assertThat(problem(bytes.toByteArray())).contains("MB unpacked");
  }

  @Test
  void manyEntriesAreRefused() throws IOException {
    Map<String, String> files = new LinkedHashMap<>();
    for (int i = 0; i <= TraceZip.MOST_ENTRIES; i++) {
      files.put(i + ".txt", "");
    }
    assertThat(problem(zip(files))).contains("more than 100 entries");
  }

  private static String problem(byte[] zip) throws IOException {
    ReadOutcome<Trace> outcome = TraceZip.read(new ByteArrayInputStream(zip));
    assertThat(outcome).isInstanceOf(Rejected.class);
    return ((Rejected<Trace>) outcome).problems().get(0).sentence();
  }

  private static byte[] bomb(String filling, int megabytes) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    byte[] part = filling.repeat((1 << 20) / filling.length()).getBytes(StandardCharsets.UTF_8);
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("a.csv"));
      zip.write("elapsed_s,gauge_kpa\n".getBytes(StandardCharsets.UTF_8));
      for (int i = 0; i < megabytes; i++) {
        zip.write(part);
      }
    }
    return bytes.toByteArray();
  }

  private static byte[] zip(Map<String, String> files) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, String> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
      }
    }
    return bytes.toByteArray();
  }
}
