package arborline.server.edition;

import arborline.core.edition.FrozenEntry;
import arborline.core.edition.FrozenPart;
import arborline.core.edition.FrozenTool;
import arborline.core.exchange.Bundle;
import arborline.core.exchange.RawItem;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.exchange.WholeTools;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** Freezes what stands in a library, some tools at a time, in the order of their codes. */
@Component
public class LibraryNow {

  private static final int CHUNK = 500;

  private final WholeTools whole;
  private final EditionStore store;

  LibraryNow(WholeTools whole, EditionStore store) {
    this.whole = whole;
    this.store = store;
  }

  private record Waiting(long toolId, Bundle bundle) {}

  /**
   * Some frozen tools.
   *
   * @param parts hashes of the parts of their stacks, by code
   * @param contents what tools and parts are, by hash
   */
  record Frozen(
      List<PlacedTool> tools, SortedMap<String, String> parts, Map<String, String> contents) {}

  /** Visits all tools, some at a time. */
  void visit(long library, Consumer<Frozen> some) {
    List<Waiting> waiting = new ArrayList<>();
    try {
      whole.ofLibrary(
          library,
          chunk -> {},
          (toolId, bundle, attached) -> {
            if (bundle.number().isPresent()) {
              waiting.add(new Waiting(toolId, bundle));
            }
            if (waiting.size() >= CHUNK) {
              flush(library, waiting, some);
            }
          });
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    if (!waiting.isEmpty()) {
      flush(library, waiting, some);
    }
  }

  /** Those of some tools that a library holds, by tool. */
  public Map<Long, FrozenEntry> of(long library, Collection<Long> tools) {
    Map<Long, FrozenEntry> frozen = new LinkedHashMap<>();
    List<Long> all = List.copyOf(tools);
    try {
      for (int from = 0; from < all.size(); from += CHUNK) {
        whole.ofLibrary(
            library,
            all.subList(from, Math.min(all.size(), from + CHUNK)),
            (toolId, bundle, attached) ->
                frozen.put(
                    toolId,
                    new FrozenEntry(
                        FrozenTool.of(bundle), bundle.number().getAsInt(), bundle.section())));
      }
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return frozen;
  }

  private void flush(long library, List<Waiting> waiting, Consumer<Frozen> some) {
    Map<Long, Long> versions =
        store.versions(library, waiting.stream().map(Waiting::toolId).toList());
    List<PlacedTool> tools = new ArrayList<>();
    Map<String, String> contents = new LinkedHashMap<>();
    for (Waiting one : waiting) {
      FrozenTool frozen = FrozenTool.of(one.bundle());
      String content = frozen.text();
      String hash = sha256(content);
      contents.put(hash, content);
      tools.add(
          new PlacedTool(
              one.toolId(),
              versions.get(one.toolId()),
              one.bundle().number().getAsInt(),
              one.bundle().section(),
              frozen.code(),
              frozen.tool().text(RawItem.NAME),
              frozen.tool().text(RawItem.CLASS),
              hash));
    }
    waiting.clear();
    SortedMap<String, String> parts = new TreeMap<>();
    whole
        .parts(versions.keySet())
        .forEach((code, part) -> {
          String content = FrozenPart.text(part.part());
          String hash = sha256(content);
          contents.put(hash, content);
          parts.put(code, hash);
        });
    some.accept(new Frozen(tools, parts, contents));
  }

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static String sha256(String text) {
    return HexFormat.of().formatHex(digest().digest(text.getBytes(StandardCharsets.UTF_8)));
  }
}
