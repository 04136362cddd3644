package gotera.web.frame;

import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Rows of a list, each made by itself: one that cannot be read is a notice in its place. */
public final class EachRow {
  private static final Logger LOG = LoggerFactory.getLogger(EachRow.class);

  private EachRow() {}

  /**
   * Makes every row.
   *
   * @param from what they are made of, in their order
   * @param name what a row is called in the log where it fails
   * @param make makes a row
   * @param notice what stands in the place of one that fails; asks nothing that can fail
   */
  public static <A, B> List<B> of(
      Collection<A> from, Function<A, ?> name, Function<A, B> make, Function<A, B> notice) {
    return from.stream().map(a -> row(a, name, make, notice)).toList();
  }

  private static <A, B> B row(
      A a, Function<A, ?> name, Function<A, B> make, Function<A, B> notice) {
    try {
      return make.apply(a);
    } catch (RuntimeException e) {
      LOG.error("the row of {} cannot be shown", name.apply(a), e);
      return notice.apply(a);
    }
  }
}
