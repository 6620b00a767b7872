package arborline.core.convert;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundlePart;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.WriteOptions;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** Writes tools into a file, reads it back, and compares what came back. */
public final class ProvenFile {

  private ProvenFile() {}

  /** Meets a tool. */
  public interface Visitor {
    void visit(Bundle bundle) throws IOException;
  }

  /** Visits all tools that a file is to hold, always the same in the same order. */
  public interface Walk {
    void through(Visitor visitor) throws IOException;
  }

  /**
   * A file that was written.
   *
   * @param tools how many it holds
   */
  public record Written(long tools, ConversionReport.Proof proof) {}

  /**
   * Writes and proves it; the walk is gone through twice.
   *
   * @param parts of stacks, by code
   */
  public static Written write(
      Path file,
      BundleFormat format,
      WriteOptions options,
      Map<String, BundlePart> parts,
      Walk walk)
      throws IOException {
    long[] tools = {0};
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file));
        BundleSink sink = format.create(out, options)) {
      for (BundlePart part : parts.values()) {
        sink.part(part);
      }
      walk.through(bundle -> {
        sink.write(bundle);
        tools[0]++;
      });
    }
    try (Readback back = Readback.open(file, format, options)) {
      walk.through(back::compare);
      return new Written(tools[0], back.proof(parts));
    }
  }
}
