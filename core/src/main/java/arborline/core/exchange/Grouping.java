package arborline.core.exchange;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * Joins items that follow one another and belong together: a tool, its lines of cutting data and
 * its stacks. A tool that is told again with nothing new, because a table repeats it beside each
 * line of its cutting data, is the same tool.
 */
public final class Grouping implements AutoCloseable {

  /** More of them of one tool stand on lines of their own. */
  private static final int MOST = 500;

  private final ItemSource source;
  private final Deque<RawItem> read = new ArrayDeque<>();
  private UnreadableFileException fault;

  public Grouping(ItemSource source) {
    this.source = source;
  }

  /**
   * The next bundle, or nothing at the end.
   *
   * @throws UnreadableFileException where the file cannot be read on; what was read before it has
   *     been given
   */
  public Optional<RawBundle> next() throws IOException {
    RawItem item = take();
    if (item == null) {
      if (fault != null) {
        throw fault;
      }
      return Optional.empty();
    }
    if (!item.kind().standsAlone()) {
      return Optional.of(RawBundle.of(item));
    }
    List<RawItem> cutting = new ArrayList<>(0);
    List<RawItem> stacks = new ArrayList<>(0);
    while (cutting.size() + stacks.size() < MOST) {
      if (belongs(item, peek(0))) {
        RawItem belonging = take();
        (belonging.kind() == ItemKind.STACK ? stacks : cutting).add(belonging);
      } else if (belongs(item, peek(1)) && toldAgain(item, peek(0))) {
        take();
      } else {
        break;
      }
    }
    return Optional.of(new RawBundle(item, cutting, stacks));
  }

  /**
   * All bundles from here on.
   *
   * @throws UnreadableFileException as {@link #next}
   */
  public List<RawBundle> all() throws IOException {
    List<RawBundle> all = new ArrayList<>();
    for (Optional<RawBundle> next = next(); next.isPresent(); next = next()) {
      all.add(next.get());
    }
    return all;
  }

  private static boolean belongs(RawItem item, RawItem next) {
    return next != null && !next.kind().standsAlone() && next.owner().equals(item.key());
  }

  private static boolean toldAgain(RawItem item, RawItem next) {
    return next != null
        && next.kind() == item.kind()
        && next.findings().isEmpty()
        && next.text(RawItem.CODE).equals(item.text(RawItem.CODE))
        && next.cells().entrySet().stream()
            .allMatch(cell ->
                cell.getValue().text().isBlank()
                    || cell.getValue().equals(item.cells().get(cell.getKey())));
  }

  private RawItem peek(int ahead) throws IOException {
    while (read.size() <= ahead) {
      Optional<RawItem> next = fault == null ? further() : Optional.empty();
      if (next.isEmpty()) {
        return null;
      }
      read.add(next.get());
    }
    return read.stream().skip(ahead).findFirst().orElseThrow();
  }

  /** What cannot be read on is said once all before it has been given. */
  private Optional<RawItem> further() throws IOException {
    try {
      return source.next();
    } catch (UnreadableFileException unreadable) {
      fault = unreadable;
      return Optional.empty();
    }
  }

  private RawItem take() throws IOException {
    RawItem first = peek(0);
    read.poll();
    return first;
  }

  @Override
  public void close() throws IOException {
    source.close();
  }
}
