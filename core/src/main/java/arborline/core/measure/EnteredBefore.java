package arborline.core.measure;

/** A size that was entered in the same sitting, as it was typed or received. */
public record EnteredBefore(String place, String entered) {}
