package arborline.server.news;

import arborline.core.part21.ListedItems;
import arborline.server.support.FileHash;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Asks the vendor dispatch which packages there are and fetches them; never inside a transaction.
 */
@Component
class VendorDispatch {

  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final Duration LONGEST_FETCH = Duration.ofMinutes(10);
  private static final int LARGEST_LIST = 32 * 1024 * 1024;
  private static final long LARGEST_PACKAGE = 1024L * 1024 * 1024;
  private static final int MOST_PACKAGES = 200;
  private static final int MOST_ITEMS = 20_000;
  private static final int MOST_PROPERTIES = 300;
  private static final int LONGEST = 200;
  private static final String ODD_ANSWER = "its answer is not a list of packages";
  private static final Pattern ID = Pattern.compile("[A-Za-z0-9][A-Za-z0-9._-]{0,79}");
  private static final Pattern SUM = Pattern.compile("[0-9a-f]{64}");

  private final JsonMapper json =
      JsonMapper.builder()
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();
  private final HttpClient http =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .connectTimeout(Duration.ofSeconds(3))
          .build();
  private final String address;

  /** However many ask, so many requests are under way at once. */
  private final Semaphore turns = new Semaphore(4, true);

  VendorDispatch(@Value("${arbor.dispatch}") String address) {
    this.address = address.strip().replaceFirst("/+$", "");
  }

  /**
   * A package that can be fetched.
   *
   * @param dated day on which it came out, as the dispatch writes it
   * @param size in bytes
   * @param sha256 of its bytes
   */
  record Announced(
      @Nullable String id,
      @Nullable String vendor,
      @Nullable String release,
      @Nullable String dated,
      long size,
      @Nullable String sha256,
      int items) {

    private boolean sound() {
      return id != null
          && ID.matcher(id).matches()
          && vendor != null
          && !vendor.isBlank()
          && vendor.length() <= LONGEST
          && release != null
          && release.length() <= LONGEST
          && sha256 != null
          && SUM.matcher(sha256).matches()
          && size > 0
          && size <= LARGEST_PACKAGE;
    }
  }

  private record PackageList(@Nullable List<@Nullable Announced> packages) {}

  /** An item of a package that was not fetched. */
  record ListedItem(
      @Nullable String id,
      @Nullable String what,
      @Nullable String name,
      @Nullable List<@Nullable ListedProperty> properties) {

    private boolean sound() {
      return id != null
          && !id.isBlank()
          && id.length() <= LONGEST
          && (properties == null || properties.size() <= MOST_PROPERTIES);
    }

    String text(@Nullable String text) {
      return text == null ? "" : text;
    }

    List<ListedItems.Listed> known() {
      return Optional.ofNullable(properties).orElse(List.of()).stream()
          .filter(one -> one != null && one.name() != null && one.value() != null)
          .map(one -> new ListedItems.Listed(one.name(), one.value(), text(one.unit())))
          .toList();
    }
  }

  record ListedProperty(@Nullable String name, @Nullable String value, @Nullable String unit) {}

  private record Contents(@Nullable List<@Nullable ListedItem> items) {}

  /** False where no dispatch is set up. */
  boolean known() {
    return !address.isEmpty();
  }

  /**
   * The packages that there are; what is announced without what is needed to fetch it is left out.
   *
   * @throws IOException where it does not answer, or not in its form; the message says how
   */
  List<Announced> packages() throws IOException {
    PackageList list = read("/packages", PackageList.class);
    return Optional.ofNullable(list.packages()).orElse(List.of()).stream()
        .filter(one -> one != null && one.sound())
        .limit(MOST_PACKAGES)
        .toList();
  }

  /**
   * What is in a package.
   *
   * @throws IOException as {@link #packages}
   */
  List<ListedItem> items(Announced wanted) throws IOException {
    Contents contents = read("/packages/%s/items".formatted(wanted.id()), Contents.class);
    return Optional.ofNullable(contents.items()).orElse(List.of()).stream()
        .filter(one -> one != null && one.sound())
        .limit(MOST_ITEMS)
        .toList();
  }

  /**
   * Fetches a package into a file.
   *
   * @throws IOException where it does not come whole, or as another one than was announced
   */
  void fetch(Announced wanted, Path target) throws IOException {
    long come =
        answered(
            "/packages/" + wanted.id(), LONGEST_FETCH, body -> copied(body, target, wanted.size()));
    if (come > wanted.size()) {
      throw new IOException("more came than was announced; fetch it again");
    }
    if (come < wanted.size()) {
      throw new IOException(
          "only %d of %d bytes came; fetch it again".formatted(come, wanted.size()));
    }
    if (!FileHash.of(target).equals(wanted.sha256())) {
      throw new IOException(
          "what came is not what was announced: its check sum differs; fetch it again, and ask the"
              + " vendor where that stays so");
    }
  }

  /** Copies an answer, and at most one byte more than was announced. */
  private static long copied(InputStream body, Path target, long announced) throws IOException {
    long come = 0;
    try (OutputStream out = Files.newOutputStream(target)) {
      byte[] bytes = new byte[64 * 1024];
      int read;
      while (come <= announced && (read = body.read(bytes)) > 0) {
        out.write(bytes, 0, read);
        come += read;
      }
    }
    return come;
  }

  private <T> T read(String path, Class<T> kind) throws IOException {
    byte[] bytes = answered(path, PATIENCE, body -> body.readNBytes(LARGEST_LIST + 1));
    if (bytes.length > LARGEST_LIST) {
      throw new IOException("its answer is larger than 32 MB");
    }
    try {
      return Optional.ofNullable(json.readValue(bytes, kind))
          .orElseThrow(() -> new IOException(ODD_ANSWER));
    } catch (JacksonException broken) {
      throw new IOException(ODD_ANSWER, broken);
    }
  }

  private interface BodyUse<T> {
    T of(InputStream body) throws IOException;
  }

  /** Asks, and uses the answer; all of it within a time, however slowly it comes. */
  private <T> T answered(String path, Duration longest, BodyUse<T> use) throws IOException {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("the vendor dispatch is spoken to inside a transaction");
    }
    if (!turn(longest)) {
      throw new IOException("others are asking it just now; try again in a moment");
    }
    try {
      return asked(path, longest, use);
    } finally {
      turns.release();
    }
  }

  private boolean turn(Duration longest) throws IOException {
    try {
      return turns.tryAcquire(longest.toSeconds(), TimeUnit.SECONDS);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    }
  }

  private <T> T asked(String path, Duration longest, BodyUse<T> use) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path)).timeout(PATIENCE).build();
    FutureTask<T> running =
        new FutureTask<>(() -> {
          HttpResponse<InputStream> response =
              http.send(request, HttpResponse.BodyHandlers.ofInputStream());
          try (InputStream body = response.body()) {
            if (response.statusCode() != 200) {
              throw new OddAnswerException("it answered %d".formatted(response.statusCode()));
            }
            return use.of(body);
          }
        });
    Thread.startVirtualThread(running);
    try {
      return running.get(longest.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException slow) {
      running.cancel(true);
      throw new IOException(
          "no whole answer within %d seconds".formatted(longest.toSeconds()), slow);
    } catch (InterruptedException interrupted) {
      running.cancel(true);
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    } catch (ExecutionException failed) {
      throw new IOException(why(failed.getCause()), failed.getCause());
    }
  }

  /** It answered, but not as a dispatch does; the message says how. */
  private static final class OddAnswerException extends IOException {
    private static final long serialVersionUID = 1L;

    OddAnswerException(String how) {
      super(how);
    }
  }

  private static String why(Throwable cause) {
    return switch (cause) {
      case OddAnswerException odd -> odd.getMessage();
      case java.net.http.HttpTimeoutException slow ->
          "no answer within %d seconds".formatted(PATIENCE.toSeconds());
      case java.net.ConnectException refused -> "nothing answers at its address";
      default -> "it broke the connection off before it had answered";
    };
  }
}
