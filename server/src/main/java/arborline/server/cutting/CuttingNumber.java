package arborline.server.cutting;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.function.BiConsumer;
import java.util.function.Function;

/** A number of a line of cutting data, with as many decimals as are kept of it. */
enum CuttingNumber {
  /** m/min. */
  SPEED(3, line -> line.speed, (line, value) -> line.speed = value),
  /** mm per tooth or revolution. */
  FEED(5, line -> line.feed, (line, value) -> line.feed = value),
  /** mm. */
  DEPTH(4, line -> line.depth, (line, value) -> line.depth = value),
  /** mm. */
  WIDTH(4, line -> line.width, (line, value) -> line.width = value);

  private final int decimals;
  private final Function<CuttingLine, BigDecimal> read;
  private final BiConsumer<CuttingLine, BigDecimal> write;

  CuttingNumber(
      int decimals,
      Function<CuttingLine, BigDecimal> read,
      BiConsumer<CuttingLine, BigDecimal> write) {
    this.decimals = decimals;
    this.read = read;
    this.write = write;
  }

  BigDecimal of(CuttingLine line) {
    return read.apply(line);
  }

  void set(CuttingLine line, BigDecimal value) {
    write.accept(line, value);
  }

  BigDecimal rounded(BigDecimal value) {
    return value.setScale(decimals, RoundingMode.HALF_UP);
  }
}
