package arborline.core.merge;

import arborline.core.merge.MergeSide.Named;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;

/**
 * A tool of a joined library before codes are settled.
 *
 * @param parts what the parts are, not what they are called
 * @param code what it is to be called
 * @param baseCode its code in the base; empty where it was added
 */
record MergedTool(
    SortedMap<String, MergeField> fields, PartCodes parts, String code, Optional<String> baseCode) {

  /** As it is on one side. */
  static MergedTool of(MergeSide side, Named named, Optional<Named> base) {
    return new MergedTool(
        named.tool().fields(), side.identities(named.tool()), named.code(), base.map(Named::code));
  }

  /**
   * With its parts called as they are in the joined library.
   *
   * @param codes by what tools are
   */
  MergeTool under(Map<String, String> codes) {
    PartCodes named =
        new PartCodes(parts.codes().stream().map(part -> codes.getOrDefault(part, part)).toList());
    return new MergeTool(fields, named, Optional.empty());
  }
}
