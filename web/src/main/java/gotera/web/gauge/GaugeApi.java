package gotera.web.gauge;

import gotera.web.gauge.Message.Acknowledged;
import gotera.web.gauge.Message.Batch;
import gotera.web.gauge.Message.Paired;
import gotera.web.gauge.Message.Pairing;
import gotera.web.gauge.Message.Refused;
import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.security.SecurityRequirement;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.Instant;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What gauges speak to. */
@RestController
@RequestMapping(path = "/api/gauges", produces = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "Gauges", description = "Pairing, and readings that come by themselves")
@ApiResponse(
    responseCode = "422",
    description = "It cannot be understood",
    content = @Content(schema = @Schema(implementation = Refused.class)))
@ApiResponse(
    responseCode = "401",
    description = "The code or the token opens nothing",
    content = @Content(schema = @Schema(implementation = Refused.class)))
@ApiResponse(
    responseCode = "409",
    description = "It contradicts what came before",
    content = @Content(schema = @Schema(implementation = Refused.class)))
@ApiResponse(
    responseCode = "503",
    description = "Not now: send the same again after \"Retry-After\" seconds",
    content = @Content)
class GaugeApi {
  private static final String BEARER = "Bearer ";

  private final GaugeService gauges;
  private final GaugeIntake intake;
  private final Clock clock;
  private final Counter refusedBatches;

  GaugeApi(GaugeService gauges, GaugeIntake intake, Clock clock, MeterRegistry meters) {
    this.gauges = gauges;
    this.intake = intake;
    this.clock = clock;
    this.refusedBatches =
        Counter.builder("gotera.gauges.refused")
            .description("What gauges sent and was refused")
            .register(meters);
  }

  @PostMapping(path = "/pair", consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      operationId = "pair",
      summary = "Makes a gauge known by the code that the page of a pressure test shows")
  @ApiResponse(responseCode = "201", description = "It is known")
  Paired pair(@RequestBody Pairing pairing) {
    return gauges.pair(pairing);
  }

  @PostMapping(path = "/readings", consumes = MediaType.APPLICATION_JSON_VALUE)
  @Operation(
      operationId = "sendReadings",
      summary = "Takes readings; the answer comes when they are durable",
      description =
          "The same readings may be sent again, late, and in any order of batches: each is kept"
              + " once. Without an answer, send them again.")
  @ApiResponse(responseCode = "200", description = "They are durable")
  @SecurityRequirement(name = "gauge")
  Acknowledged take(
      @io.swagger.v3.oas.annotations.Parameter(hidden = true)
          @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "")
          String authorization,
      @RequestBody Batch batch) {
    Instant arrived = clock.instant();
    if (!authorization.startsWith(BEARER)) {
      throw new Refusal(Refusal.Kind.UNKNOWN, "", "a bearer token is missing");
    }
    return intake.take(
        authorization.substring(BEARER.length()).strip(), GaugeBatch.of(batch), arrived);
  }

  @ExceptionHandler(Refusal.class)
  ResponseEntity<Refused> refused(Refusal refusal) {
    refusedBatches.increment();
    return ResponseEntity.status(refusal.kind.status)
        .body(new Refused(refusal.member, String.valueOf(refusal.getMessage())));
  }

  /** Too many at once for the database: nothing was kept, and the same may be sent again. */
  @ExceptionHandler(PessimisticLockingFailureException.class)
  ResponseEntity<Refused> busy() {
    refusedBatches.increment();
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, "1")
        .body(new Refused("", "not now"));
  }

  @ExceptionHandler(HttpMessageNotReadableException.class)
  ResponseEntity<Refused> unreadable() {
    refusedBatches.increment();
    return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
        .body(new Refused("", "this is not the JSON that is described"));
  }
}
