package arborline.core.convert;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.CountedStream;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.RawBundle;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** A file on disk, read as it would be if it arrived. */
final class ArrivingFile implements AutoCloseable {

  private static final int HEAD = 64 * 1024;

  private final InputStream content;
  private final CountedStream counted;
  private final long size;
  private final Grouping grouping;

  private ArrivingFile(InputStream content, CountedStream counted, long size, Grouping grouping) {
    this.content = content;
    this.counted = counted;
    this.size = size;
    this.grouping = grouping;
  }

  /**
   * Opens a file.
   *
   * @throws arborline.core.exchange.UnreadableFileException where it cannot be read
   */
  static ArrivingFile open(Path file) throws IOException {
    byte[] head;
    try (InputStream start = Files.newInputStream(file)) {
      head = start.readNBytes(HEAD);
    }
    ItemReader reader = BundleFormats.recognise(head);
    CountedStream counted = new CountedStream(Files.newInputStream(file));
    InputStream content = new BufferedInputStream(counted, HEAD);
    try {
      return new ArrivingFile(
          content,
          counted,
          Files.size(file),
          new Grouping(reader.open(content, head, reader.propose(head))));
    } catch (IOException | RuntimeException failed) {
      content.close();
      throw failed;
    }
  }

  /**
   * The next bundle, or nothing at the end.
   *
   * @throws arborline.core.exchange.UnreadableFileException where the file cannot be read on
   */
  Optional<RawBundle> next() throws IOException {
    return grouping.next();
  }

  /** How much of it was read, from 0 to 1. */
  double share() {
    return size == 0 ? 1 : Math.min(1, counted.count() / (double) size);
  }

  @Override
  public void close() throws IOException {
    grouping.close();
    content.close();
  }
}
