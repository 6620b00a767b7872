package arborline.server.table;

import arborline.core.table.ControlDialect;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import io.github.resilience4j.circuitbreaker.CircuitBreaker;
import io.github.resilience4j.circuitbreaker.CircuitBreakerConfig;
import io.github.resilience4j.circuitbreaker.CircuitBreakerRegistry;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Speaks to a machine's control over its link, never inside a transaction. A control that failed
 * several times in a row is left alone for a while; who reads it at the same time as somebody else
 * gets the same answer.
 */
@Component
class ControlLink {

  private static final Duration TIMEOUT = Duration.ofSeconds(8);
  private static final Duration LEFT_ALONE = Duration.ofSeconds(10);
  private static final int FAILURES = 5;
  private static final int LARGEST_ANSWER = 32 * 1024 * 1024;
  private static final int LONGEST_COMPLAINT = 500;

  private final HttpClient http =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .connectTimeout(Duration.ofSeconds(3))
          .build();
  private final CircuitBreakerRegistry breakers =
      CircuitBreakerRegistry.of(
          CircuitBreakerConfig.custom()
              .slidingWindowSize(FAILURES)
              .minimumNumberOfCalls(FAILURES)
              .failureRateThreshold(100)
              .waitDurationInOpenState(LEFT_ALONE)
              .permittedNumberOfCallsInHalfOpenState(1)
              .ignoreExceptions(RefusedByControlException.class)
              .build());
  private final ConcurrentHashMap<String, CompletableFuture<ControlTable>> reading =
      new ConcurrentHashMap<>();

  /** The control answered, and refused; the message is what it said. */
  static final class RefusedByControlException extends IOException {
    private static final long serialVersionUID = 1L;

    RefusedByControlException(String said) {
      super(said);
    }
  }

  /** The control answered, but not as a control does; the message says how. */
  private static final class OddAnswerException extends IOException {
    private static final long serialVersionUID = 1L;

    OddAnswerException(String how) {
      super(how);
    }
  }

  ControlDialect dialect(Machines.Linked machine) {
    return ControlDialects.named(machine.machine().habits().dialect());
  }

  /**
   * Reads the tool table, together with whoever is reading it just now.
   *
   * @throws IOException where the control does not answer, or not in its form
   */
  ControlTable read(Machines.Linked machine) throws IOException {
    needControl(machine);
    CompletableFuture<ControlTable> mine = new CompletableFuture<>();
    CompletableFuture<ControlTable> running = reading.putIfAbsent(machine.link(), mine);
    if (running != null) {
      return joined(running);
    }
    try {
      ControlTable table = readAnew(machine);
      mine.complete(table);
      return table;
    } catch (IOException | RuntimeException failed) {
      mine.completeExceptionally(failed);
      throw failed;
    } finally {
      reading.remove(machine.link(), mine);
    }
  }

  private static ControlTable joined(CompletableFuture<ControlTable> running) throws IOException {
    try {
      return running.join();
    } catch (CompletionException failed) {
      if (failed.getCause() instanceof IOException silent) {
        throw silent;
      }
      throw failed;
    }
  }

  /** As {@link #read}, from a request that begins now: what was written before is in it. */
  ControlTable readAnew(Machines.Linked machine) throws IOException {
    needControl(machine);
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(machine.link() + "/assets")).timeout(TIMEOUT).build();
    byte[] answer =
        guarded(
            machine,
            () -> {
              HttpResponse<InputStream> response =
                  http.send(request, HttpResponse.BodyHandlers.ofInputStream());
              try (InputStream body = response.body()) {
                if (response.statusCode() != 200) {
                  throw new OddAnswerException(
                      "it answered %d to reading".formatted(response.statusCode()));
                }
                return whole(body);
              }
            });
    return dialect(machine).read(machine.machine(), new ByteArrayInputStream(answer));
  }

  private static byte[] whole(InputStream body) throws IOException {
    byte[] bytes = body.readNBytes(LARGEST_ANSWER + 1);
    if (bytes.length > LARGEST_ANSWER) {
      throw new OddAnswerException("its answer is larger than 32 MB");
    }
    return bytes;
  }

  /**
   * Sends one file.
   *
   * @throws IOException where the control refuses it or drops the connection; the message says why
   */
  void send(Machines.Linked machine, ControlFile file) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(machine.link() + "/files/" + file.name()))
            .timeout(TIMEOUT)
            .header("Content-Type", file.mediaType())
            .PUT(HttpRequest.BodyPublishers.ofByteArray(file.bytes()))
            .build();
    guarded(
        machine,
        () -> {
          HttpResponse<String> response = http.send(request, HttpResponse.BodyHandlers.ofString());
          if (response.statusCode() / 100 != 2) {
            throw new RefusedByControlException(complaint(response));
          }
          return file;
        });
  }

  private static String complaint(HttpResponse<String> response) {
    String said = response.body().strip();
    if (said.isEmpty()) {
      return "it answered %d".formatted(response.statusCode());
    }
    return said.length() > LONGEST_COMPLAINT ? said.substring(0, LONGEST_COMPLAINT) : said;
  }

  /** Refuses where nothing can be read or written. */
  static void needControl(Machines.Linked machine) {
    if (machine.link().isEmpty()) {
      throw Refusal.conflict(
          "no control is linked to %s: its load can be planned, its tool table not read"
              .formatted(machine.machine().name()));
    }
  }

  private <T> T guarded(Machines.Linked machine, Callable<T> call) throws IOException {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("a control is spoken to inside a transaction");
    }
    CircuitBreaker breaker = breakers.circuitBreaker(machine.link());
    try {
      return breaker.executeCallable(call);
    } catch (CallNotPermittedException leftAlone) {
      throw new IOException(
          "it did not answer %d times in a row; it is asked again in %d seconds"
              .formatted(FAILURES, LEFT_ALONE.toSeconds()),
          leftAlone);
    } catch (java.net.http.HttpTimeoutException slow) {
      throw new IOException("no answer within %d seconds".formatted(TIMEOUT.toSeconds()), slow);
    } catch (java.net.ConnectException refused) {
      throw new IOException("nothing answers at its address", refused);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    } catch (RefusedByControlException | OddAnswerException | RuntimeException said) {
      throw said;
    } catch (IOException broken) {
      throw new IOException("it broke the connection off before it had answered", broken);
    } catch (Exception impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
