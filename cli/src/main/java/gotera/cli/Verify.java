package gotera.cli;

import gotera.formats.signed.Authenticity;
import gotera.formats.signed.Authenticity.Different;
import gotera.formats.signed.Authenticity.Genuine;
import gotera.formats.signed.SignedPdf;
import gotera.formats.signed.SignedZip;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Says of reports and job files whether they are as they were handed out. */
final class Verify {
  /** Larger files are none of ours (bytes) (our judgement). */
  private static final long LARGEST = 300L * 1024 * 1024;

  private Verify() {}

  /** 0 where all are genuine, 1 where one is not, 2 where one cannot be read. */
  static int run(List<String> files, Optional<String> key, PrintStream out, PrintStream err) {
    int code = 0;
    for (String name : files) {
      try {
        Path file = Path.of(name);
        if (Files.size(file) > LARGEST) {
          throw new IOException("larger than any report or job file");
        }
        code = Math.max(code, say(name, check(Files.readAllBytes(file)).by(key), out));
      } catch (IOException e) {
        err.println(name + ": cannot be read: " + e.getMessage());
        code = 2;
      }
    }
    return code;
  }

  private static Authenticity check(byte[] file) {
    boolean pdf =
        file.length > 4 && new String(file, 0, 4, StandardCharsets.US_ASCII).equals("%PDF");
    return pdf ? SignedPdf.check(file) : SignedZip.check(file);
  }

  private static int say(String name, Authenticity checked, PrintStream out) {
    if (checked instanceof Different d) {
      out.println(name + ": REFUSED: " + d.what());
      return 1;
    }
    Genuine g = (Genuine) checked;
    out.println(
        name
            + ": genuine, signed "
            + g.at()
            + " by key "
            + g.fingerprint()
            + ", "
            + g.entries()
            + " entries, head "
            + g.head());
    return 0;
  }
}
