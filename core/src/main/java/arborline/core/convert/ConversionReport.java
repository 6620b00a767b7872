package arborline.core.convert;

import arborline.core.exchange.LossReport;
import java.util.List;

/**
 * What became of one file.
 *
 * @param file its name
 * @param output name of the file that was written; empty where none was
 * @param problem why it could not be read to its end; empty where it was
 * @param read items that were read, titles and blank lines apart
 * @param written items that were written: parts and tools
 * @param left items that were not written, with the reason; the first thousand
 * @param lossCount how much is dropped, rounded or approximated
 * @param lossGroups that by what happens to which property
 * @param losses the first thousand of that
 * @param proof what reading it back came to
 */
public record ConversionReport(
    String file,
    String output,
    String problem,
    long read,
    long written,
    List<Left> left,
    long lossCount,
    List<LossReport.LossGroup> lossGroups,
    List<LossReport.Loss> losses,
    Proof proof) {

  /** An item that was not written. */
  public record Left(long line, String code, String reason) {}

  /**
   * What reading the file back came to.
   *
   * @param equal true where every value is what was to be written
   * @param compared how many items were compared
   * @param differences the first hundred
   */
  public record Proof(boolean equal, long compared, List<String> differences) {

    /** Nothing was written, so nothing was proved. */
    public static final Proof NONE = new Proof(false, 0, List.of());
  }

  /** A file of which nothing was written. */
  public static ConversionReport refused(String file, String problem) {
    return new ConversionReport(
        file, "", problem, 0, 0, List.of(), 0, List.of(), List.of(), Proof.NONE);
  }

  /** A file that holds no table and goes along as it is. */
  public static ConversionReport unchanged(String file, String output) {
    return new ConversionReport(
        file, output, "", 0, 0, List.of(), 0, List.of(), List.of(), new Proof(true, 0, List.of()));
  }
}
