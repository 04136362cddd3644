package gotera.formats.signed;

import gotera.formats.signed.Authenticity.Different;
import gotera.formats.signed.Authenticity.Genuine;
import gotera.formats.signed.Statement.Part;
import gotera.formats.signed.Statement.Signed;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;

/**
 * A PDF with the installation's statement and signature in a comment after its end, where readers
 * of PDF do not look (ISO 32000-1, 7.5.5). The statement holds the hash of the whole and of each
 * page; the whole decides, the pages name where it differs.
 */
public final class SignedPdf {
  private static final String COMMENT = "%gotera-signature ";
  private static final String WHOLE = "document";
  private static final String ENDING = "startxref";

  private SignedPdf() {}

  /** Signs a PDF. */
  public static byte[] sign(byte[] pdf, Chain chain, Instant at, KeyPair keys) throws IOException {
    Statement statement = Statement.of(parts(pdf), chain, at, keys);
    String comment =
        comment(statement.text().getBytes(StandardCharsets.UTF_8), statement.sign(keys));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(pdf);
    out.write(comment.getBytes(StandardCharsets.US_ASCII));
    out.write(ending(pdf).getBytes(StandardCharsets.ISO_8859_1));
    return out.toByteArray();
  }

  /** The end of a PDF, said again after the comment: readers look for it in the last kilobyte. */
  private static String ending(byte[] pdf) {
    String text = new String(pdf, StandardCharsets.ISO_8859_1);
    return text.substring(Math.max(0, text.lastIndexOf(ENDING)));
  }

  /** Whether a PDF is as it was signed. */
  public static Authenticity check(byte[] file) {
    String text = new String(file, StandardCharsets.ISO_8859_1);
    int at = text.lastIndexOf("\n" + COMMENT);
    if (at < 0) {
      return new Different("it carries no signature");
    }
    byte[] pdf = java.util.Arrays.copyOf(file, at);
    int end = text.indexOf('\n', at + 1) + 1;
    Optional<Statement> statement = signed(text.substring(at, end)).flatMap(Statement::read);
    if (statement.isEmpty()) {
      return new Different("its signature does not fit what it states");
    }
    Statement s = statement.get();
    Part whole = new Part(WHOLE, Digest.of(pdf));
    if (s.parts().contains(whole) && !text.substring(end).equals(ending(pdf))) {
      return new Different("what stands after its end is not what was signed");
    }
    if (s.parts().contains(whole)) {
      return new Genuine(s.fingerprint(), s.at(), s.entries(), s.head());
    }
    return new Different(first(s, pdf));
  }

  private static String first(Statement s, byte[] pdf) {
    try {
      List<Part> there = new ArrayList<>(parts(pdf));
      Statement pages =
          new Statement(
              s.at(),
              s.parts().stream().filter(p -> !p.name().equals(WHOLE)).toList(),
              s.entries(),
              s.head(),
              s.key());
      there.removeIf(p -> p.name().equals(WHOLE));
      return pages
          .firstDifferent(there)
          .orElse("something beside the pages is not what was signed");
    } catch (IOException e) {
      return "it is no PDF that can be read";
    }
  }

  private static String comment(byte[] statement, byte[] signature) {
    return "\n" + COMMENT + encode(statement) + " " + encode(signature) + "\n";
  }

  /** The one way to write it; what only reads the same is refused. */
  private static Optional<Signed> signed(String comment) {
    String[] words = comment.strip().split(" ");
    if (words.length != 3) {
      return Optional.empty();
    }
    try {
      byte[] statement = Base64.getDecoder().decode(words[1]);
      byte[] signature = Base64.getDecoder().decode(words[2]);
      return comment(statement, signature).equals(comment)
          ? Optional.of(new Signed(new String(statement, StandardCharsets.UTF_8), signature))
          : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static String encode(byte[] bytes) {
    return Base64.getEncoder().encodeToString(bytes);
  }

  /** The whole, and each page with all it draws. */
  private static List<Part> parts(byte[] pdf) throws IOException {
    List<Part> parts = new ArrayList<>();
    parts.add(new Part(WHOLE, Digest.of(pdf)));
    try (PDDocument document = Loader.loadPDF(pdf)) {
      int number = 1;
      for (PDPage page : document.getPages()) {
        Digest digest = new Digest();
        try (java.io.InputStream content = page.getContents()) {
          digest.add(content.readAllBytes());
        }
        drawn(page.getResources(), digest, new HashSet<>());
        parts.add(new Part("page " + number, digest.hex()));
        number++;
      }
    }
    return parts;
  }

  /** What a page draws besides its own content: forms and pictures, and what they draw. */
  private static void drawn(PDResources resources, Digest digest, Set<COSBase> seen)
      throws IOException {
    if (resources == null || !seen.add(resources.getCOSObject())) {
      return;
    }
    for (COSName name : resources.getXObjectNames()) {
      var object = resources.getXObject(name);
      COSStream stream = object.getCOSObject();
      if (seen.add(stream)) {
        digest.add(stream.createInputStream().readAllBytes());
        if (object instanceof org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject form) {
          drawn(form.getResources(), digest, seen);
        }
      }
    }
  }
}
