package gotera.web.history;

import gotera.web.figures.Figures;
import gotera.web.history.HistorySource.HistoryEntry;
import gotera.web.words.Words;
import gotera.word.Worded;
import jakarta.persistence.Entity;
import jakarta.persistence.EntityManager;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.envers.AuditReaderFactory;
import org.hibernate.envers.NotAudited;
import org.hibernate.envers.query.AuditEntity;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Reads the audit trail of audited entities. A field and its values are told by the words {@code
 * history.FIELD}; values that are codes by the words that begin with {@code history.FIELD.code}.
 * Where there are only {@code history.FIELD.set} or {@code .changed}, that it was set or changed is
 * told, but no value; a field without words is told by no one.
 */
@Component
public class AuditTrail {
  private static final int LONGEST = 160;

  private final EntityManager entities;
  private final Words words;

  AuditTrail(EntityManager entities, Words words) {
    this.entities = entities;
    this.words = words;
  }

  /**
   * What was done to the rows of an entity.
   *
   * @param entity the audited class
   * @param property the property that must have the value
   * @param name what the row is called, as a key of the words
   */
  @Transactional(readOnly = true)
  public List<HistoryEntry> of(Class<?> entity, String property, UUID value, String name) {
    List<?> revisions =
        AuditReaderFactory.get(entities)
            .createQuery()
            .forRevisionsOfEntity(entity, false, true)
            .add(
                property.equals("id")
                    ? AuditEntity.id().eq(value)
                    : AuditEntity.property(property).eq(value))
            .addOrder(AuditEntity.revisionNumber().asc())
            .getResultList();
    Map<Object, Map<String, String>> before = new HashMap<>();
    List<HistoryEntry> entries = new ArrayList<>();
    for (Object row : revisions) {
      Object[] parts = (Object[]) row;
      Revision revision = (Revision) parts[1];
      Map<String, String> now = fields(parts[0]);
      Map<String, String> was =
          Objects.requireNonNullElse(before.put(id(parts[0]), now), Map.<String, String>of());
      String changes = changes(was, now);
      if (!changes.isEmpty() || was.isEmpty()) {
        entries.add(
            new HistoryEntry(
                Objects.requireNonNullElse(revision.madeAt, Instant.EPOCH),
                revision.madeBy,
                words.say(name) + (changes.isEmpty() ? "" : ": " + changes)));
      }
    }
    return entries;
  }

  private String changes(Map<String, String> was, Map<String, String> now) {
    List<String> changes = new ArrayList<>();
    now.forEach(
        (field, value) -> {
          String old = was.getOrDefault(field, "");
          // what is no from the beginning is nothing that anybody said
          boolean same = old.equals(value) || old.isEmpty() && value.equals("false");
          String change = same ? "" : change("history." + field, old, value);
          if (!change.isEmpty()) {
            changes.add(change);
          }
        });
    return String.join(", ", changes);
  }

  private String change(String name, String old, String value) {
    if (words.knows(name)) {
      String label = words.say(name);
      return old.isEmpty()
          ? words.say("history.set", label, shown(name, value))
          : words.say("history.changed", label, shown(name, old), shown(name, value));
    }
    String happened = name + (old.isEmpty() ? ".set" : ".changed");
    return words.knows(happened) ? words.say(happened) : "";
  }

  private String shown(String name, String value) {
    if (value.isEmpty()) {
      return "\u2013";
    }
    if (words.knows(name + ".code")) {
      String code = words.say(name + ".code") + value;
      return words.knows(code) ? words.say(code) : value;
    }
    return value.length() > LONGEST ? value.substring(0, LONGEST) + "\u2026" : value;
  }

  private static Object id(Object entity) {
    return Objects.requireNonNull(read(entity, field(entity.getClass(), "id")));
  }

  private static Map<String, String> fields(Object entity) {
    Map<String, String> values = new java.util.LinkedHashMap<>();
    for (Field field : entity.getClass().getDeclaredFields()) {
      if (!Modifier.isStatic(field.getModifiers())
          && !field.isAnnotationPresent(NotAudited.class)
          && !field.getType().isAnnotationPresent(Entity.class)) {
        values.put(field.getName(), text(read(entity, field)));
      }
    }
    return values;
  }

  private static String text(@Nullable Object value) {
    if (value == null) {
      return "";
    }
    return value instanceof Double number
        ? Figures.plain(number)
        : value instanceof Instant moment
            ? Figures.moment(moment)
            : value instanceof Worded word ? word.word() : value.toString();
  }

  private static Field field(Class<?> type, String name) {
    try {
      return type.getDeclaredField(name);
    } catch (NoSuchFieldException e) {
      throw new IllegalStateException(type + " has no field " + name, e);
    }
  }

  private static @Nullable Object read(Object entity, Field field) {
    try {
      field.setAccessible(true);
      return field.get(entity);
    } catch (IllegalAccessException e) {
      throw new IllegalStateException("the field was made accessible: " + field, e);
    }
  }
}
