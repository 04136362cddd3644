package gotera.web.gauge;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What gauges and this application say to each other. Times of the gauge are seconds on its own
 * clock, whatever its zero is; times of ours are seconds since 1970 (UTC).
 */
final class Message {
  private Message() {}

  /** A gauge introduces itself. */
  @Schema(name = "Pairing")
  record Pairing(
      @Schema(
              description = "Code that the page of a pressure test shows; good once",
              example = "abcd2345")
          @Nullable String code,
      @Schema(description = "What people call it", maxLength = 60) @Nullable String name,
      @Schema(description = "Smallest step of its readings (kPa)") @Nullable Double step,
      @Schema(description = "Smallest step of its thermometer (K), where it has one")
          @Nullable Double temperatureStep,
      @Schema(description = "Whether it is a stand-in that simulates")
          @Nullable Boolean simulated) {}

  /** It is known from now on. */
  @Schema(name = "Paired")
  record Paired(
      @Schema(description = "Identifier of the gauge") String gauge,
      @Schema(description = "Sent as a bearer token from now on; shown once") String token) {}

  /** Numbers one after the other. */
  @Schema(name = "Numbers")
  record Numbers(
      @Schema(description = "The first") @Nullable Long from,
      @Schema(description = "The last") @Nullable Long to) {}

  /** A message and its answer, as the gauge saw them. */
  @Schema(name = "Exchange")
  record Exchange(
      @Schema(description = "When it sent, by its clock (s)") @Nullable Double sent,
      @Schema(description = "\"received\" of the answer (s)") @Nullable Double received,
      @Schema(description = "\"answered\" of the answer (s)") @Nullable Double answered,
      @Schema(description = "When the answer came, by its clock (s)") @Nullable Double heard) {}

  /** A reading. */
  @Schema(name = "Reading")
  record Reading(
      @Schema(description = "Its number: 1 for the first a gauge ever makes, then one more each")
          @Nullable Long number,
      @Schema(description = "When it was made, by the gauge's clock (s)") @Nullable Double at,
      @Schema(description = "Gauge pressure (kPa)") @Nullable Double pressure,
      @Schema(description = "Temperature of the coolant, where it is measured (°C)")
          @Nullable Double temperature,
      @Schema(
              description = "What was done at the gauge at that moment",
              allowableValues = {"pumped", "valve-shut", "released"})
          @Nullable String event) {}

  /** Readings together. */
  @Schema(name = "Batch")
  record Batch(
      @Schema(
              description = "Name of its clock; another one where its time does not go on",
              maxLength = 40)
          @Nullable String clock,
      @Schema(description = "When it sends this, by its clock (s)") @Nullable Double sent,
      @Schema(description = "The exchange before this one, where there was one")
          @Nullable Exchange previous,
      @Schema(description = "Numbers it does not have any more") @Nullable List<Numbers> lost,
      @Schema(description = "In the order of their numbers; none is a sign of life")
          @Nullable List<Reading> readings) {}

  /** What has come, durably. */
  @Schema(name = "Acknowledged")
  record Acknowledged(
      @Schema(description = "When the batch came (s)") double received,
      @Schema(description = "When this answer left (s)") double answered,
      @Schema(description = "Up to this number none is missing") long through,
      @Schema(description = "Numbers after it that have not come though later ones have")
          List<Numbers> gaps,
      @Schema(description = "Readings of this batch that are kept in a test now") int kept,
      @Schema(description = "Readings of this batch made at no test, or at one that is finished")
          int notKept,
      @Schema(description = "Readings of this batch beyond what any gauge shows, or none")
          int notShown,
      @Schema(description = "Whether it stands at a test now") boolean standing,
      @Schema(description = "What our clock shows more than its (s)") double offset,
      @Schema(description = "Standard uncertainty of that (s)") double offsetUncertainty,
      @Schema(description = "By how many seconds that grows in a second (1)") double drift) {}

  /** Why something was refused. */
  @Schema(name = "Refused")
  record Refused(
      @Schema(description = "Where: a member of what was sent, or empty") String member,
      @Schema(description = "What is wrong with it, in English") String problem) {}
}
