package gotera.formats;

import static org.assertj.core.api.Assertions.assertThat;

import gotera.formats.ReadOutcome.Accepted;
import gotera.pressure.trace.Trace;
import gotera.pressure.trace.TraceEvent;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TraceWriterTests {

  @Test
  void whatIsWrittenIsReadBackToTheLastDigit() throws IOException {
    Random random = new Random(3);
    for (int run = 0; run < 50; run++) {
      Trace.Builder builder = Trace.builder();
      double t = 0;
      int rows = 2 + random.nextInt(40);
      for (int i = 0; i < rows; i++) {
        double gauge = 100 + random.nextGaussian();
        if (random.nextBoolean()) {
          builder.reading(t, gauge, 15 + random.nextDouble());
        } else {
          builder.reading(t, gauge);
        }
        t += 0.1 + random.nextDouble() * 30;
      }
      builder.event(TraceEvent.at(0, TraceEvent.Kind.VALVE_SHUT));
      Trace trace = builder.build();
      Trace read = read(TraceWriter.write(trace));
      assertThat(read.size()).isEqualTo(trace.size());
      for (int i = 0; i < trace.size(); i++) {
        assertThat(read.seconds(i)).isEqualTo(trace.seconds(i));
        assertThat(read.gauge(i)).isEqualTo(trace.gauge(i));
        assertThat(read.hasTemperature(i)).isEqualTo(trace.hasTemperature(i));
        if (trace.hasTemperature(i)) {
          assertThat(read.celsius(i)).isEqualTo(trace.celsius(i));
        }
      }
      assertThat(read.events()).isEqualTo(trace.events());
    }
  }

  @SuppressWarnings("unchecked")
  private static Trace read(String csv) throws IOException {
    return ((Accepted<Trace>)
            TraceCsv.read(new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8))))
        .value();
  }
}
