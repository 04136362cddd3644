package gotera.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A network between a device and a server that can be cut: what is on its way is lost. */
final class Wire implements AutoCloseable {
  private final ServerSocket entry;
  private final int to;
  private final Set<Socket> open = ConcurrentHashMap.newKeySet();
  private volatile boolean cut;

  Wire(int to) {
    this.to = to;
    try {
      entry = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    start(this::accept);
  }

  String address() {
    return "http://127.0.0.1:" + entry.getLocalPort();
  }

  void cut() {
    cut = true;
    open.forEach(Wire::drop);
  }

  void mend() {
    cut = false;
  }

  private static void start(Runnable work) {
    Thread thread = new Thread(work, "wire");
    thread.setDaemon(true);
    thread.start();
  }

  private static void drop(Socket socket) {
    try {
      socket.close();
    } catch (IOException e) {
      // it is gone either way
      throw new UncheckedIOException(e);
    }
  }

  private void accept() {
    while (!entry.isClosed()) {
      try {
        Socket device = entry.accept();
        if (cut) {
          device.close();
        } else {
          join(device);
        }
      } catch (IOException e) {
        // closed, or the server is not there now: the device tries again
        Thread.onSpinWait();
      }
    }
  }

  private void join(Socket device) throws IOException {
    Socket server;
    try {
      server = new Socket(InetAddress.getLoopbackAddress(), to);
    } catch (IOException e) {
      device.close();
      throw e;
    }
    open.add(device);
    open.add(server);
    start(() -> copy(device, server));
    start(() -> copy(server, device));
  }

  private void copy(Socket from, Socket into) {
    try (from;
        into) {
      InputStream in = from.getInputStream();
      OutputStream out = into.getOutputStream();
      in.transferTo(out);
    } catch (IOException e) {
      // cut
    } finally {
      open.remove(from);
      open.remove(into);
    }
  }

  @Override
  public void close() throws IOException {
    cut();
    entry.close();
  }
}
