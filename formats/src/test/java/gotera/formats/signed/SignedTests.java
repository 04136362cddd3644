package gotera.formats.signed;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.signed.Authenticity.Different;
import gotera.formats.signed.Authenticity.Genuine;
import gotera.formats.signed.Chain.Link;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** What is signed and what was done to it since: every change is noticed, and named. */
class SignedTests {
  private static final Instant AT = Instant.parse("2026-11-27T08:00:00Z");
  private static final KeyPair KEYS = Keys.make();

  private static Chain chain(int entries) {
    Chain chain = new Chain(List.of());
    for (int i = 0; i < entries; i++) {
      chain = chain.and(AT.plusSeconds(i), "bench", "Reading: " + (118 - i) + " kPa");
    }
    return chain;
  }

  @Nested
  class AChain {
    @Test
    void isBoundByTheHashThatAnybodyCanCompute() {
      // by hand: sha256sum of the zeros, then "\n", length, ":", text for each member
      assertThat(chain(1).head())
          .isEqualTo(
              Digest.of(
                  ("0".repeat(64) + "\n20:2026-11-27T08:00:00Z\n5:bench\n16:Reading: 118 kPa")
                      .getBytes(StandardCharsets.UTF_8)));
      assertThat(Digest.of("abc".getBytes(StandardCharsets.UTF_8)))
          .as("FIPS 180-4, appendix B.1")
          .isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    }

    /** One change anywhere breaks it there: a changed, lost, doubled or swapped entry. */
    @Test
    void namesTheFirstEntryThatDoesNotFit() {
      Random random = new Random(7);
      for (int run = 0; run < 300; run++) {
        Chain whole = chain(3 + random.nextInt(20));
        assertThat(whole.firstBroken()).isEmpty();
        List<Link> links = new ArrayList<>(whole.links());
        int at = random.nextInt(links.size() - 1);
        Link old = links.get(at);
        switch (random.nextInt(4)) {
          case 0 -> links.set(at, new Link(old.at(), old.by(), old.what() + " ", old.hash()));
          case 1 -> links.remove(at);
          case 2 -> links.add(at, old);
          default -> links.set(at, new Link(old.at(), "lead", old.what(), old.hash()));
        }
        int expected = links.size() > whole.links().size() ? at + 2 : at + 1;
        assertThat(new Chain(links).firstBroken()).as("run " + run).hasValue(expected);
      }
    }

    @Test
    void cannotBeReadTwoWays() {
      Chain one = new Chain(List.of()).and(AT, "a", "b\n1:c");
      Chain other = new Chain(List.of()).and(AT, "a\n3:b", "c");
      assertThat(one.head()).isNotEqualTo(other.head());
    }

    @Test
    void comesBackFromItsText() {
      Chain chain = chain(5).and(AT, "a \"name\"", "ü€𝄞\u0000");
      assertThat(ChainJson.read(ChainJson.write(chain).getBytes(StandardCharsets.UTF_8)))
          .contains(chain);
      assertThat(ChainJson.read("[{\"at\":\"now\"}]".getBytes(StandardCharsets.UTF_8))).isEmpty();
      assertThat(ChainJson.read("no json".getBytes(StandardCharsets.UTF_8))).isEmpty();
    }
  }

  @Nested
  class AReport {
    private final byte[] signed = signed("Tight, at most 0.08 mL/min", KEYS);

    private static byte[] pdf(String said) throws IOException {
      try (PDDocument document = new PDDocument()) {
        for (int page = 1; page <= 3; page++) {
          PDPage sheet = new PDPage(PDRectangle.A4);
          document.addPage(sheet);
          try (PDPageContentStream content = new PDPageContentStream(document, sheet)) {
            content.addComment(said + " " + page);
            content.moveTo(10, 10 * page);
            content.lineTo(100, 100);
            content.stroke();
          }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
      }
    }

    private static byte[] signed(String said, KeyPair keys) {
      try {
        return SignedPdf.sign(pdf(said), chain(212), AT, keys);
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      }
    }

    private static String why(byte[] file) {
      return ((Different) SignedPdf.check(file)).what();
    }

    private byte[] trailer() {
      String text = new String(signed, StandardCharsets.ISO_8859_1);
      return text.substring(text.lastIndexOf("\n%gotera-signature"))
          .getBytes(StandardCharsets.ISO_8859_1);
    }

    private byte[] changed(UnaryOperator<byte[]> change) {
      byte[] trailer = trailer();
      byte[] body = change.apply(Arrays.copyOf(signed, signed.length - trailer.length));
      byte[] all = Arrays.copyOf(body, body.length + trailer.length);
      System.arraycopy(trailer, 0, all, body.length, trailer.length);
      return all;
    }

    @Test
    void isGenuineAsItWasHandedOutAndStillAPdf() throws IOException {
      assertThat(SignedPdf.check(signed))
          .isEqualTo(
              new Genuine(
                  Keys.fingerprint(KEYS.getPublic().getEncoded()), AT, 212, chain(212).head()));
      try (PDDocument document = Loader.loadPDF(signed)) {
        assertThat(document.getNumberOfPages()).isEqualTo(3);
      }
      String end = new String(signed, StandardCharsets.ISO_8859_1);
      assertThat(end.length() - end.lastIndexOf("startxref"))
          .as("ISO 32000-1, 7.5.5 and its readers: near the end")
          .isLessThan(1024);
      try (PDDocument document = Loader.loadPDF(signed)) {
        assertThat(document.getPage(2).getContents()).isNotEmpty();
      }
    }

    @Test
    void aChangedFigureIsNamedByItsPage() {
      byte[] forged =
          changed(
              body -> {
                try (PDDocument document = Loader.loadPDF(body)) {
                  PDPage page = document.getPage(1);
                  try (PDPageContentStream content =
                      new PDPageContentStream(
                          document, page, PDPageContentStream.AppendMode.APPEND, true)) {
                    content.addComment("0.01");
                  }
                  ByteArrayOutputStream out = new ByteArrayOutputStream();
                  document.save(out);
                  return out.toByteArray();
                } catch (IOException e) {
                  throw new java.io.UncheckedIOException(e);
                }
              });
      assertThat(why(forged)).isEqualTo("page 2 is not what was signed");
    }

    @Test
    void aRemovedPageIsNamed() {
      byte[] forged =
          changed(
              body -> {
                try (PDDocument document = Loader.loadPDF(body)) {
                  document.removePage(2);
                  ByteArrayOutputStream out = new ByteArrayOutputStream();
                  document.save(out);
                  return out.toByteArray();
                } catch (IOException e) {
                  throw new java.io.UncheckedIOException(e);
                }
              });
      assertThat(why(forged)).isEqualTo("page 3 is missing");
    }

    @Test
    void anotherReportUnderThisSignatureIsRefused() {
      assertThat(
              why(
                  changed(
                      body -> {
                        try {
                          return pdf("Tight, at most 0.01 mL/min");
                        } catch (IOException e) {
                          throw new java.io.UncheckedIOException(e);
                        }
                      })))
          .isEqualTo("page 1 is not what was signed");
    }

    @Test
    void anotherKeyIsRefusedWhereOneIsAskedFor() {
      KeyPair other = Keys.make();
      String mine = Keys.fingerprint(KEYS.getPublic().getEncoded());
      Authenticity checked = SignedPdf.check(signed("Tight, at most 0.01 mL/min", other));
      assertThat(checked).isInstanceOf(Genuine.class);
      assertThat(checked.by(Optional.of(mine)))
          .isInstanceOfSatisfying(
              Different.class, d -> assertThat(d.what()).startsWith("signed by another key"));
      assertThat(SignedPdf.check(signed).by(Optional.of(mine))).isInstanceOf(Genuine.class);
    }

    /** Any byte anywhere, the signature's own included. */
    @Test
    void noByteCanBeChanged() {
      Random random = new Random(11);
      for (int run = 0; run < 400; run++) {
        byte[] forged = signed.clone();
        int at = run < 200 ? random.nextInt(forged.length) : forged.length - 2 - run % 150;
        forged[at] ^= (byte) (1 << random.nextInt(7));
        assertThat(SignedPdf.check(forged)).as("byte " + at).isInstanceOf(Different.class);
      }
      assertThat(why(new byte[0])).isEqualTo("it carries no signature");
      assertThat(why("%PDF-1.4\n%gotera-signature a b\n".getBytes(StandardCharsets.US_ASCII)))
          .isEqualTo("its signature does not fit what it states");
    }
  }

  @Nested
  class AJobFile {
    private final Map<String, byte[]> files = new LinkedHashMap<>();
    private final byte[] packed;

    AJobFile() throws IOException {
      files.put("job.json", "{}".getBytes(StandardCharsets.UTF_8));
      files.put("traces/1-search.csv", "elapsed_s,gauge_kpa\n".getBytes(StandardCharsets.UTF_8));
      files.put("photographs/a.jpg", new byte[] {1, 2, 3});
      packed = SignedZip.pack(files, chain(9), AT, KEYS);
    }

    private static String why(byte[] zip) {
      return ((Different) SignedZip.check(zip)).what();
    }

    private byte[] again(UnaryOperator<Map<String, byte[]>> change) throws IOException {
      Map<String, byte[]> all = new LinkedHashMap<>();
      try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(packed))) {
        for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
          all.put(e.getName(), in.readAllBytes());
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      try (ZipOutputStream zip = new ZipOutputStream(out)) {
        for (Map.Entry<String, byte[]> file : change.apply(all).entrySet()) {
          zip.putNextEntry(new ZipEntry(file.getKey()));
          zip.write(file.getValue());
          zip.closeEntry();
        }
      }
      return out.toByteArray();
    }

    @Test
    void isTheSameWhenWrittenAgainAndComesBackWhole() throws IOException {
      assertThat(SignedZip.pack(files, chain(9), AT, KEYS)).isEqualTo(packed);
      assertThat(SignedZip.open(packed))
          .isInstanceOfSatisfying(
              SignedZip.Opened.Files.class,
              f -> {
                assertThat(f.files().keySet()).containsExactlyElementsOf(files.keySet());
                assertThat(f.files().get("photographs/a.jpg")).containsExactly(1, 2, 3);
                assertThat(f.chain()).isEqualTo(chain(9));
              });
    }

    @Test
    void namesTheFileThatDiffers() throws IOException {
      for (String name : files.keySet()) {
        byte[] forged =
            again(
                all -> {
                  all.put(name, "forged".getBytes(StandardCharsets.UTF_8));
                  return all;
                });
        assertThat(why(forged)).isEqualTo(name + " is not what was signed");
        byte[] shorter =
            again(
                all -> {
                  all.remove(name);
                  return all;
                });
        assertThat(why(shorter)).isEqualTo(name + " is missing");
      }
      byte[] more =
          again(
              all -> {
                all.put("records.json", new byte[1]);
                return all;
              });
      assertThat(why(more)).isEqualTo("records.json was put in");
    }

    @Test
    void anotherManifestDoesNotFitTheSignature() throws IOException {
      byte[] other = SignedZip.pack(Map.of("job.json", new byte[1]), chain(2), AT, Keys.make());
      Map<String, byte[]> theirs = new LinkedHashMap<>();
      try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(other))) {
        for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
          theirs.put(e.getName(), in.readAllBytes());
        }
      }
      byte[] forged =
          again(
              all -> {
                all.put("manifest.json", theirs.get("manifest.json"));
                return all;
              });
      assertThat(why(forged)).isEqualTo("its signature does not fit its manifest");
    }

    @Test
    void hostileFilesAreRefused() throws IOException {
      assertThat(why(new byte[0])).contains("no whole ZIP");
      assertThat(why(Arrays.copyOf(packed, packed.length / 2))).isNotEmpty();
      for (String name : List.of("../up", "/root", "a/../../b", "a\\b", "a/b/c", "")) {
        byte[] zip =
            again(
                all -> {
                  all.put(name, new byte[1]);
                  return all;
                });
        assertThat(SignedZip.check(zip)).as(name).isInstanceOf(Different.class);
      }
      byte[] bomb =
          again(
              all -> {
                all.put("records.json", new byte[(int) SignedZip.MOST_OF_ONE + 1]);
                return all;
              });
      assertThat(bomb.length).as("guard: small as it comes").isLessThan(200_000);
      assertThat(why(bomb)).isEqualTo("it unpacks to more than can be taken");
      byte[] nothing = again(all -> Map.of("job.json", new byte[2]));
      assertThat(why(nothing)).isEqualTo("it carries no signature");
    }
  }
}
