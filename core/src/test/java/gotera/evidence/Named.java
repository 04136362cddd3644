package gotera.evidence;

/** Evidence by a name that a test gives it. */
record Named(String name) implements Label {
  static Named of(String name) {
    return new Named(name);
  }

  @Override
  public String toString() {
    return name;
  }
}
