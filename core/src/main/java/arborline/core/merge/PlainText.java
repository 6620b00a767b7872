package arborline.core.merge;

/** A field that is only a text: a class, a name, a note. The same is the same to the letter. */
public record PlainText(String text) implements MergeField {

  @Override
  public boolean sameSize(MergeField other) {
    return equals(other);
  }
}
