package arborline.core.merge;

import arborline.core.library.Codes;

/** The code of a tool; letter case is a matter of writing. */
public record CodeText(String code) implements MergeField {

  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof CodeText text && Codes.key(code).equals(Codes.key(text.code));
  }
}
