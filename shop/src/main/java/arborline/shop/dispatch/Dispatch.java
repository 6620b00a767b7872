package arborline.shop.dispatch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The packages of all vendors, written from their readable files when they are first asked for. */
public final class Dispatch {

  static final JsonMapper JSON =
      JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();

  private final List<CatalogueRelease> releases = new ArrayList<>();
  private final Map<String, byte[]> packed = new ConcurrentHashMap<>();
  private volatile Manners manners = Manners.GOOD;

  /**
   * How it behaves.
   *
   * @param offline closes every connection without an answer
   * @param slowMillis waits before each answer
   * @param cutAfterBytes breaks off a package there; 0 for never
   * @param wrongSum sends another package than it announced
   */
  record Manners(boolean offline, long slowMillis, long cutAfterBytes, boolean wrongSum) {
    static final Manners GOOD = new Manners(false, 0, 0, false);
  }

  /**
   * A package in the list.
   *
   * @param size in bytes
   * @param sha256 of its bytes
   */
  record Announced(
      String id,
      String vendor,
      String release,
      String dated,
      long size,
      String sha256,
      int items) {}

  /** An item of a package, as the list of its contents has it. */
  record ListedItem(String id, String what, String name, List<ListedProperty> properties) {}

  record ListedProperty(String name, String value, String unit) {}

  /** What is in a package. */
  record Contents(String vendor, String release, List<ListedItem> items) {}

  private Dispatch() {}

  /** The vendors whose folders stand in one; none where there is no such folder. */
  public static Dispatch of(Path folder) throws IOException {
    Dispatch dispatch = new Dispatch();
    if (Files.isDirectory(folder)) {
      try (Stream<Path> vendors = Files.list(folder)) {
        for (Path vendor : vendors.filter(Files::isDirectory).sorted().toList()) {
          dispatch.releases.addAll(CatalogueRelease.read(vendor));
        }
      }
    }
    dispatch.releases.sort(Comparator.comparing(CatalogueRelease::id));
    return dispatch;
  }

  Manners manners() {
    return manners;
  }

  void behave(Manners next) {
    manners = Objects.requireNonNull(next, "how to behave is not said");
  }

  List<Announced> list() throws IOException {
    List<Announced> list = new ArrayList<>();
    for (CatalogueRelease release : releases) {
      byte[] bytes = bytes(release);
      list.add(
          new Announced(
              release.id(),
              release.vendor(),
              release.release(),
              release.dated(),
              bytes.length,
              sum(bytes),
              release.items().size()));
    }
    return list;
  }

  Optional<Contents> contents(String id) {
    return find(id)
        .map(release ->
            new Contents(
                release.vendor(),
                release.release(),
                release.items().stream()
                    .filter(item -> !item.assembly())
                    .map(Dispatch::listed)
                    .toList()));
  }

  private static ListedItem listed(CatalogueItem item) {
    return new ListedItem(
        item.id(),
        item.what(),
        item.name(),
        item.sizes().entrySet().stream()
            .map(size ->
                new ListedProperty(size.getKey(), size.getValue().text(), size.getValue().unit()))
            .toList());
  }

  /** The bytes of a package. */
  public Optional<byte[]> file(String id) throws IOException {
    Optional<CatalogueRelease> release = find(id);
    return release.isEmpty() ? Optional.empty() : Optional.of(bytes(release.get()));
  }

  private Optional<CatalogueRelease> find(String id) {
    return releases.stream().filter(release -> release.id().equals(id)).findFirst();
  }

  private byte[] bytes(CatalogueRelease release) throws IOException {
    byte[] known = packed.get(release.id());
    if (known == null) {
      known = PackageWriter.zip(release);
      packed.put(release.id(), known);
    }
    return known;
  }

  private static String sum(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
