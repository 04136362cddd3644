package gotera.web.retest;

import java.util.List;
import java.util.Optional;

/**
 * What the re-test says about the repair.
 *
 * @param proven whether the computed rate is zero within its bound
 * @param finished whether the re-test is sealed, so that the statement stands
 * @param shape shape of the verdict as SVG
 * @param statement the statement of zero with its bound, or what the test says instead
 * @param details what it rests on, and what it does not prove
 * @param missing what is missing for a proof
 * @param change how the rate changed
 * @param before the verdict before the repair
 * @param wide both curves over each other, for a bench
 * @param narrow the same for a phone
 * @param print address of the page to print
 */
public record RetestPage(
    boolean proven,
    boolean finished,
    String shape,
    String statement,
    List<String> details,
    List<String> missing,
    Optional<String> change,
    Optional<String> before,
    String wide,
    String narrow,
    String print) {}
