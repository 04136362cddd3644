package gotera.evidence;

/**
 * The places that leak together: none, one or two of them, by their numbers.
 *
 * @param first number of the first, or −1
 * @param second number of the second, greater than the first, or −1
 */
record FaultSet(int first, int second) {
  static final FaultSet NONE = new FaultSet(-1, -1);

  static FaultSet one(int place) {
    return new FaultSet(place, -1);
  }

  boolean has(int place) {
    return first == place || second == place;
  }

  int size() {
    return first < 0 ? 0 : second < 0 ? 1 : 2;
  }
}
