package gotera.web.gauge;

/** What a gauge sent cannot be taken. */
final class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1;

  /** The kind of it, as HTTP has it. */
  enum Kind {
    /** Its token, or its code, opens nothing. */
    UNKNOWN(401),
    /** It contradicts what came before. */
    CONFLICT(409),
    /** It cannot be understood. */
    WRONG(422);

    final int status;

    Kind(int status) {
      this.status = status;
    }
  }

  final Kind kind;
  final String member;

  Refusal(Kind kind, String member, String problem) {
    super(problem);
    this.kind = kind;
    this.member = member;
  }

  static Refusal wrong(String member, String problem) {
    return new Refusal(Kind.WRONG, member, problem);
  }
}
