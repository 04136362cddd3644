package gotera.standing;

import java.time.Instant;

/**
 * Something of a visit, and when it happened: that decides, not when it was written down.
 *
 * @param at when
 * @param what what
 * @param <T> what kind of thing
 */
public record Happened<T>(Instant at, T what) {}
