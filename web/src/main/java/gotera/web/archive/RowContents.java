package gotera.web.archive;

import gotera.web.archive.JobRestore.Refused;
import gotera.web.photo.PhotoService;
import gotera.web.photo.Photograph;
import gotera.web.storage.Hashes;
import gotera.web.voice.Recording;
import gotera.web.voice.VoiceService;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What a row of a file holds, as the database keeps it. */
@Component
class RowContents {
  private final PhotoService photos;
  private final VoiceService voices;

  RowContents(PhotoService photos, VoiceService voices) {
    this.photos = photos;
    this.voices = voices;
  }

  /** A row by its table and number. */
  record Row(String table, int number, JsonNode members) {}

  /**
   * Its columns.
   *
   * @param revisions numbers of the file's revisions here
   * @param files the files that rows name
   */
  Map<String, @Nullable Object> of(
      Row row, Map<Integer, Long> revisions, Map<String, byte[]> files) {
    Map<String, @Nullable Object> values = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> member : row.members().properties()) {
      values.put(
          member.getKey(),
          value(row.table(), member.getKey(), member.getValue(), revisions, files));
    }
    anew(row.table(), row.number(), values);
    return values;
  }

  /**
   * What people brought is read anew, as an upload is: nothing but its picture or sound remains.
   */
  private void anew(String table, int number, Map<String, @Nullable Object> values) {
    if (table.equals("photo")) {
      Photograph read =
          photos
              .anew((byte[]) Objects.requireNonNull(values.get("jpeg")))
              .orElseThrow(() -> new Refused(table + " " + number + ": it is no photograph"));
      values.put("jpeg", read.jpeg());
      values.put("width", read.width());
      values.put("height", read.height());
      values.put("sha256", Hashes.sha256(read.jpeg()));
    } else if (table.equals("voice")) {
      Recording read =
          voices
              .anew((byte[]) Objects.requireNonNull(values.get("sound")))
              .orElseThrow(() -> new Refused(table + " " + number + ": it is no recording"));
      values.put("media_type", read.mediaType());
      values.put("sha256", Hashes.sha256(read.sound()));
    }
  }

  private static @Nullable Object value(
      String table,
      String column,
      JsonNode value,
      Map<Integer, Long> revisions,
      Map<String, byte[]> files) {
    if (value.isNull()) {
      return null;
    }
    if (column.equals(Records.REVISION)) {
      Long revision = revisions.get(value.asInt(0));
      if (revision == null) {
        throw new Refused(table + ": a revision that is not there");
      }
      return revision;
    }
    if (Records.FILES.containsKey(table + "." + column)) {
      byte[] content = files.get(value.asString(""));
      if (content == null) {
        throw new Refused(value.asString("") + " is not in the file");
      }
      return content;
    }
    if (value.isNumber()) {
      return value.isIntegralNumber() ? (Object) value.asLong() : (Object) value.asDouble();
    }
    if (column.equals("payload")) {
      return decoded(table, value.asString(""));
    }
    return value.asString("");
  }

  private static byte[] decoded(String table, String text) {
    try {
      return Base64.getDecoder().decode(text);
    } catch (IllegalArgumentException e) {
      throw new Refused(table + ": bytes that cannot be read");
    }
  }
}
