package arborline.core.tool.rule;

import arborline.core.designation.ShankDesignation;
import arborline.core.designation.ShankProperties;
import arborline.core.designation.ShankReader;

/** What is typed agrees with the designation of the holder. Source: ISO 5608 and ISO 6261. */
public final class ShankAgrees extends Contradiction<ShankDesignation> {
  public ShankAgrees() {
    super(
        "SHANK",
        "holder",
        ShankReader::read,
        ShankProperties::of,
        "KAPR",
        "PSIR",
        "HAND",
        "H",
        "B",
        "HF",
        "WF",
        "DMM",
        "LF",
        "SC",
        "AN",
        "MTP",
        "SSC");
  }
}
