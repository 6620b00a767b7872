package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.Tool;
import java.util.Optional;

/** The thread size TDZ is of a system that we know; else nobody judges diameter and pitch by it. */
public final class ThreadKnown implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    return tool.word("TDZ")
        .filter(text -> ThreadSize.parse(text).isEmpty())
        .map(text ->
            Finding.query(
                "thread-unknown",
                "thread size %s is none that we know; diameter and pitch are not checked by it"
                    .formatted(text),
                "TDZ"));
  }
}
