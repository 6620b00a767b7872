package arborline.core.merge;

import arborline.core.library.Codes;
import java.util.List;

/** The parts of an assembly by their codes, one field in its order. */
public record PartCodes(List<String> codes) implements MergeField {

  /** No parts. */
  public static final PartCodes NONE = new PartCodes(List.of());

  public PartCodes {
    codes = List.copyOf(codes);
  }

  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof PartCodes parts && keys().equals(parts.keys());
  }

  private List<String> keys() {
    return codes.stream().map(Codes::key).toList();
  }
}
