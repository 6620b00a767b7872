package arborline.core.tool.rule;

import arborline.core.designation.InsertDesignation;
import arborline.core.designation.InsertProperties;
import arborline.core.designation.InsertReader;

/** What is typed agrees with the insert designation MIID. Source: ISO 1832. */
public final class InsertAgrees extends Contradiction<InsertDesignation> {
  public InsertAgrees() {
    super(
        "MIID",
        "insert",
        InsertReader::read,
        InsertProperties::of,
        "RE",
        "IC",
        "S",
        "L",
        "EPSR",
        "SC",
        "AN");
  }
}
