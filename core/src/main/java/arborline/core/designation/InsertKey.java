package arborline.core.designation;

/**
 * What insert designations are compared by: the metric form without blanks and without what belongs
 * to the maker, so that {@code CNMG 432}, {@code CNMG120408-PM} and {@code cnmg 12 04 08} are one
 * insert. Source: ISO 1832 and ANSI B212.4.
 */
public final class InsertKey {

  private static final int LONGEST = 40;

  private InsertKey() {}

  /** The key of a designation; one that cannot be read is compared as it is written. */
  public static String of(String designation) {
    String key =
        InsertReader.read(designation)
            .value()
            .flatMap(InsertDesignation::metric)
            .orElseGet(() -> InsertReader.plain(designation))
            .replace(" ", "");
    return key.length() > LONGEST ? key.substring(0, LONGEST) : key;
  }
}
