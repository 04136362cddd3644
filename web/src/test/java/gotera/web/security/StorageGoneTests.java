package gotera.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.http.HttpServletResponse;
import java.io.EOFException;
import java.net.SocketException;
import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.CannotCreateTransactionException;

/** Which failures are the database's, whatever they are wrapped in. */
class StorageGoneTests {
  @Test
  void aConnectionThatBrokeIsTheDatabaseGone() {
    SQLException broken =
        new SQLNonTransientConnectionException(
            "(conn=7) Socket error", "08000", new SocketException("Connection reset by peer"));
    assertThat(StorageGone.refusal(new CannotCreateTransactionException("no", broken)))
        .contains(Refusal.DATABASE);
    SQLException ended = new SQLException("unexpected end", "08000", new EOFException());
    assertThat(StorageGone.refusal(new RuntimeException(ended))).contains(Refusal.DATABASE);
    assertThat(StorageGone.refusal(new RuntimeException(new SQLException("Connection is closed"))))
        .contains(Refusal.DATABASE);
    assertThat(StorageGone.refusal(new SQLException("shutting down", "70100")))
        .contains(Refusal.DATABASE);
  }

  @Test
  void aFullDiskIsItsOwnAnswer() {
    assertThat(StorageGone.refusal(new SQLException("The table is full", "HY000", 1114)))
        .contains(Refusal.DISK);
  }

  @Test
  void otherFailuresAreNotTheDatabaseGone() {
    assertThat(StorageGone.refusal(new IllegalStateException("ours"))).isEmpty();
    assertThat(StorageGone.refusal(new EOFException("a client hung up"))).isEmpty();
    assertThat(
            StorageGone.refusal(
                new DataIntegrityViolationException(
                    "twice", new SQLException("Duplicate entry", "23000", 1062))))
        .isEmpty();
  }

  /** The work is done and confirmed; only the session's last use could not be kept. */
  @Test
  void aRedirectThatWasSentStays() throws Exception {
    MockHttpServletResponse response = new MockHttpServletResponse();
    new StorageGone(new DiskRoom(new DiskProperties("", 1)))
        .doFilter(
            new MockHttpServletRequest("POST", "/tests/1/readings"),
            response,
            (request, answer) -> {
              ((HttpServletResponse) answer).sendRedirect("/jobs/1/pressure-test");
              throw gone();
            });
    assertThat(response.getStatus()).isEqualTo(302);
  }

  @Test
  void aPageThatBrokeOffIsNotPassedForWhole() {
    StorageGone filter = new StorageGone(new DiskRoom(new DiskProperties("", 1)));
    MockHttpServletRequest request = new MockHttpServletRequest("GET", "/");
    assertThatThrownBy(
            () ->
                filter.doFilter(
                    request,
                    new MockHttpServletResponse(),
                    (asked, answer) -> {
                      answer.flushBuffer();
                      throw gone();
                    }))
        .isInstanceOf(CannotCreateTransactionException.class);
  }

  private static CannotCreateTransactionException gone() {
    return new CannotCreateTransactionException(
        "no", new SQLNonTransientConnectionException("(conn=7) Socket error", "08000"));
  }
}
