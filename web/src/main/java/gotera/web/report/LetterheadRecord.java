package gotera.web.report;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** The workshop's letterhead in the database. */
@Entity
@Table(name = "letterhead")
class LetterheadRecord {
  /** There is one. */
  static final int ONLY = 1;

  @Id int id = ONLY;
  String name = "";
  String address = "";
  String paper = "a4";
  @Version @Nullable Integer version;
}
