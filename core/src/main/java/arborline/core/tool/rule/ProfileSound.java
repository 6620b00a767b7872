package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.SegmentTable;
import java.util.Optional;

/** A cutter's own profile can be read, starts on the axis and does not cross it or itself. */
public final class ProfileSound implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    return tool.word(SegmentTable.SYMBOL)
        .flatMap(text -> SegmentTable.read(text).fault())
        .map(fault -> Finding.hold("profile", "profile PROFILE: " + fault, "PROFILE"));
  }
}
