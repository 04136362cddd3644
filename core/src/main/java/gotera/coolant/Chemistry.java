package gotera.coolant;

import gotera.word.Worded;

/**
 * What a coolant protects with. It is a specification; the colour is a dye and says nothing (common
 * practice, no source).
 */
public enum Chemistry implements Worded {
  INORGANIC,
  ORGANIC_ACID,
  HYBRID,
  PHOSPHATED,
  SILICATED,
  /** Sold for all of them. */
  UNIVERSAL,
  /** Nobody knows. */
  UNKNOWN,
  /** Several were put in. */
  MIXED;

  /** What to do where this is in and that shall go in. */
  public enum Advice implements Worded {
    /** The same goes in. */
    SAME,
    /** Nobody knows what is in, or several are: flush and refill. */
    FLUSH,
    /** Another than is in: flush first, or take the same. */
    DIFFERS,
    /** Universal types are not followed here: the maker’s specification or the same chemistry. */
    DOUBTFUL
  }

  /** The advice for pouring something onto this. */
  public Advice with(Chemistry poured) {
    if (this == UNKNOWN || this == MIXED) {
      return Advice.FLUSH;
    }
    if (poured == UNIVERSAL || poured == UNKNOWN || poured == MIXED) {
      return Advice.DOUBTFUL;
    }
    return this == poured ? Advice.SAME : Advice.DIFFERS;
  }
}
