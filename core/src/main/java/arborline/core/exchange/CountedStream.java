package arborline.core.exchange;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that knows how much of it was read. */
public final class CountedStream extends FilterInputStream {

  private long count;

  public CountedStream(InputStream stream) {
    super(stream);
  }

  /** Bytes that were read or passed over. */
  public long count() {
    return count;
  }

  @Override
  public int read() throws IOException {
    int read = super.read();
    count += read < 0 ? 0 : 1;
    return read;
  }

  @Override
  public int read(byte[] target, int offset, int length) throws IOException {
    int read = super.read(target, offset, length);
    count += Math.max(0, read);
    return read;
  }

  @Override
  public long skip(long wanted) throws IOException {
    long skipped = super.skip(wanted);
    count += skipped;
    return skipped;
  }

  @Override
  public boolean markSupported() {
    return false;
  }
}
