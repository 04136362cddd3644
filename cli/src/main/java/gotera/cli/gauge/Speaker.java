package gotera.cli.gauge;

import gotera.cli.gauge.Buffer.KeptReading;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Speaks to the application, over a network that may fail. */
final class Speaker {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private final String address;
  private final DeviceTime time;
  private final double failing;
  private final Random chance;
  private final HttpClient client;
  private @Nullable ObjectNode previous;

  /**
   * One.
   *
   * @param fingerprint of the certificate it trusts; empty: whatever this Java trusts
   * @param failing share of messages, and of answers, that the network loses (1)
   */
  Speaker(String address, String fingerprint, DeviceTime time, double failing, Random chance) {
    HttpClient.Builder builder = HttpClient.newBuilder().connectTimeout(PATIENCE);
    if (!fingerprint.isEmpty()) {
      builder.sslContext(Pinned.context(fingerprint));
    }
    this.client = builder.build();
    this.address = address;
    this.time = time;
    this.failing = failing;
    this.chance = chance;
  }

  /** An answer that is no acknowledgement. */
  static final class Refused extends IOException {
    private static final long serialVersionUID = 1;
    final int status;

    Refused(int status, String answer) {
      super(status + " " + answer);
      this.status = status;
    }

    /** Whether the same will be refused again. */
    boolean isFinal() {
      return status == 401 || status == 409 || status == 422;
    }
  }

  /** Pairs; the token that was given. */
  String pair(String code, String name, double step, double kelvins)
      throws IOException, InterruptedException {
    ObjectNode body = JSON.createObjectNode();
    body.put("code", code).put("name", name).put("step", step).put("simulated", true);
    body.put("temperatureStep", kelvins);
    return post("/api/gauges/pair", "", body).get("token").asString();
  }

  /** Sends readings; the number up to which all have come. */
  long send(String token, List<KeptReading> lines) throws IOException, InterruptedException {
    ObjectNode batch = JSON.createObjectNode();
    double sent = time.now();
    batch.put("clock", time.name()).put("sent", sent);
    if (previous != null) {
      batch.set("previous", previous);
    }
    ArrayNode readings = batch.putArray("readings");
    for (KeptReading line : lines) {
      ObjectNode r = readings.addObject();
      r.put("number", line.number()).put("at", line.at()).put("pressure", line.gauge());
      r.put("temperature", line.celsius());
      if (!line.event().isEmpty()) {
        r.put("event", line.event());
      }
    }
    lose("the message was lost");
    JsonNode answer = post("/api/gauges/readings", token, batch);
    double heard = time.now();
    lose("the answer was lost");
    previous =
        JSON.createObjectNode()
            .put("sent", sent)
            .put("received", answer.get("received").asDouble())
            .put("answered", answer.get("answered").asDouble())
            .put("heard", heard);
    return answer.get("through").asLong();
  }

  private void lose(String what) throws IOException {
    if (chance.nextDouble() < failing) {
      throw new IOException(what + " (simulated)");
    }
  }

  private JsonNode post(String path, String token, ObjectNode body)
      throws IOException, InterruptedException {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address + path))
            .timeout(PATIENCE)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)));
    if (!token.isEmpty()) {
      request.header("Authorization", "Bearer " + token);
    }
    HttpResponse<String> answer =
        client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() / 100 != 2) {
      throw new Refused(answer.statusCode(), answer.body());
    }
    return JSON.readTree(answer.body());
  }
}
