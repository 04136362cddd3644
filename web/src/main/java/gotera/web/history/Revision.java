package gotera.web.history;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.envers.RevisionEntity;
import org.hibernate.envers.RevisionListener;
import org.hibernate.envers.RevisionNumber;
import org.hibernate.envers.RevisionTimestamp;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** One transaction of one account. */
@Entity
@Table(name = "revision")
@RevisionEntity(Revision.Writer.class)
class Revision {
  /** Who writes when nobody is signed in: the application itself, for its demonstration. */
  static final String NOBODY = "-";

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  @RevisionNumber
  @Nullable Long id;

  @RevisionTimestamp @Nullable Instant madeAt;
  String madeBy = NOBODY;

  /** Names the account of a revision. */
  static final class Writer implements RevisionListener {
    @Override
    public void newRevision(Object revision) {
      Authentication who = SecurityContextHolder.getContext().getAuthentication();
      if (who != null) {
        ((Revision) revision).madeBy = who.getName();
      }
    }
  }
}
