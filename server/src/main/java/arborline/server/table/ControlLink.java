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
import java.io.IOException;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Speaks to a machine's control over its link, never inside a transaction. A control that failed
 * several times in a row is left alone for a while; who reads it at the same time as somebody else
 * gets the same answer.
 */
@Component
class ControlLink {

  private static final Duration LEFT_ALONE = Duration.ofSeconds(10);
  private static final int FAILURES = 5;

  private final Map<String, ControlChannel> channels;
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
  private final ConcurrentHashMap<Machines.Linked, CompletableFuture<ControlTable>> reading =
      new ConcurrentHashMap<>();

  private final TableWatches watches;

  ControlLink(List<ControlChannel> channels, TableWatches watches) {
    this.watches = watches;
    this.channels =
        channels.stream().collect(Collectors.toMap(ControlChannel::scheme, Function.identity()));
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
    CompletableFuture<ControlTable> running = reading.putIfAbsent(machine, mine);
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
      reading.remove(machine, mine);
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
    ControlDialect dialect = dialect(machine);
    URI link = URI.create(machine.link());
    Map<String, byte[]> documents =
        guarded(machine, () -> channel(link).read(link, dialect.documents()));
    return understood(machine, dialect, documents);
  }

  private ControlTable understood(
      Machines.Linked machine, ControlDialect dialect, Map<String, byte[]> documents)
      throws IOException {
    ControlTable table = dialect.read(machine.machine(), documents);
    watches.clock(machine.machine().id(), dialect.clock(documents));
    return table;
  }

  /**
   * As {@link #readAnew}, unasked: whether it answers does not count, and one that is left alone
   * is.
   */
  ControlTable watched(Machines.Linked machine) throws IOException {
    CircuitBreaker breaker = breakers.circuitBreaker(machine.link());
    if (breaker.getState() == CircuitBreaker.State.OPEN) {
      throw new IOException("it does not answer, and is left alone for a while");
    }
    needNoTransaction();
    ControlDialect dialect = dialect(machine);
    URI link = URI.create(machine.link());
    return understood(machine, dialect, channel(link).read(link, dialect.documents()));
  }

  /**
   * Sends one file.
   *
   * @throws IOException where the control refuses it or drops the connection; the message says why
   */
  void send(Machines.Linked machine, ControlFile file) throws IOException {
    URI link = URI.create(machine.link());
    guarded(
        machine,
        () -> {
          channel(link).send(link, file);
          return file;
        });
  }

  private ControlChannel channel(URI link) {
    ControlChannel channel = channels.get(link.getScheme());
    if (channel == null) {
      throw new IllegalStateException("nothing travels over " + link.getScheme());
    }
    return channel;
  }

  /** Refuses where nothing can be read or written. */
  static void needControl(Machines.Linked machine) {
    if (machine.link().isEmpty()) {
      throw Refusal.conflict(
          "no control is linked to %s: its load can be planned, its tool table not read"
              .formatted(machine.machine().name()));
    }
    String dialect = machine.machine().habits().dialect();
    if (ControlDialects.all().stream().noneMatch(known -> known.id().equals(dialect))) {
      throw Refusal.conflict(
          "the definition of %s names the dialect '%s' of its control, which is not known"
              .formatted(machine.machine().name(), dialect));
    }
  }

  private static void needNoTransaction() {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("a control is spoken to inside a transaction");
    }
  }

  private <T> T guarded(Machines.Linked machine, Callable<T> call) throws IOException {
    needNoTransaction();
    CircuitBreaker breaker = breakers.circuitBreaker(machine.link());
    try {
      return breaker.executeCallable(call);
    } catch (CallNotPermittedException leftAlone) {
      throw new IOException(
          "it did not answer %d times in a row; it is asked again in %d seconds"
              .formatted(FAILURES, LEFT_ALONE.toSeconds()),
          leftAlone);
    } catch (IOException | RuntimeException said) {
      throw said;
    } catch (Exception impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
