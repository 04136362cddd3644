/**
 * What a person can say, see or do on a job, each as one type: what is said is never told by a word
 * that is taken apart elsewhere. Each says what it means to the checks it belongs to.
 *
 * <p>Not here: curves of pressure and looks at joints, which have records of their own, and how
 * anything is written down.
 */
@NullMarked
package gotera.said;

import org.jspecify.annotations.NullMarked;
