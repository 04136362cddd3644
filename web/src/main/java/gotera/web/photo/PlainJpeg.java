package gotera.web.photo;

import java.nio.ByteBuffer;
import java.util.Set;

/**
 * Whether a JPEG holds nothing but its picture (ITU T.81, annex B): the segments that are needed to
 * draw it, no comment, no place, no second file behind its end.
 */
final class PlainJpeg {
  private static final int MARKER = 0xFF;
  private static final int START = 0xD8;
  private static final int END = 0xD9;
  private static final int SCAN = 0xDA;
  private static final int STUFFED = 0x00;

  /** JFIF, quantisation, frame (baseline), Huffman tables, restart interval. */
  private static final Set<Integer> NEEDED = Set.of(0xE0, 0xDB, 0xC0, 0xC4, 0xDD);

  /** Length of a JFIF segment without a thumbnail. */
  private static final int JFIF = 16;

  private PlainJpeg() {}

  static boolean is(byte[] file) {
    ByteBuffer in = ByteBuffer.wrap(file);
    if (in.remaining() < 4 || next(in) != MARKER || next(in) != START) {
      return false;
    }
    while (in.remaining() >= 4) {
      int marker = next(in) == MARKER ? next(in) : -1;
      int length = in.getShort() & 0xFFFF;
      boolean known = marker == SCAN || NEEDED.contains(marker);
      if (!known || length < 2 || length - 2 > in.remaining() || marker == 0xE0 && length != JFIF) {
        return false;
      }
      in.position(in.position() + length - 2);
      if (marker == SCAN) {
        return endsWithItsScan(in);
      }
    }
    return false;
  }

  /** The scan goes on to the end of the picture, which is the end of the file. */
  private static boolean endsWithItsScan(ByteBuffer in) {
    while (in.remaining() >= 2) {
      if (next(in) == MARKER) {
        int after = next(in);
        boolean restart = after >= 0xD0 && after <= 0xD7;
        if (after == END) {
          return !in.hasRemaining();
        }
        if (after != STUFFED && !restart) {
          return false;
        }
      }
    }
    return false;
  }

  private static int next(ByteBuffer in) {
    return in.get() & 0xFF;
  }
}
