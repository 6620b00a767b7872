package arborline.core.post;

import arborline.core.finding.Finding;
import arborline.core.naming.CommentFit;
import arborline.core.tool.Completed;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says whether a tool can be posted, and why not. */
public final class PostCheck {

  private PostCheck() {}

  /** Holds where it cannot be, queries where it becomes something else; empty where it can. */
  public static List<Finding> of(Post post, PostedTool posted) {
    Tool tool = Completed.of(posted.tool()).tool();
    Optional<ToolClass> known = ToolClasses.named(tool.toolClass());
    List<Finding> findings = new ArrayList<>();
    if (known.filter(ToolClass::cuttingItem).isPresent()) {
      return List.of(
          Finding.note("post-insert", "an insert is part of a tool and is not posted itself"));
    }
    Optional<Process> process = known.map(one -> one.sheet().process());
    process.map(work -> post.needed().getOrDefault(work, List.of())).orElse(List.of()).stream()
        .filter(symbol -> !tool.has(symbol))
        .forEach(symbol ->
            findings.add(
                Finding.hold(
                    "post-value-missing",
                    "%s needs %s, which is not stated".formatted(post.name(), symbol),
                    symbol)));
    if (!post.numbers().has(posted.number())) {
      findings.add(
          Finding.hold(
              "post-number",
              "number %d is none that %s writes (%s)"
                  .formatted(posted.number(), post.name(), post.numbers().words())));
    }
    offsets(post, posted, findings);
    if (post.orientation()
        && process.filter(Process.TURNING::equals).isPresent()
        && posted.orientation().isEmpty()) {
      findings.add(
          Finding.hold(
              "post-orientation",
              "%s needs a tip orientation; choose how it is mounted".formatted(post.name()),
              "HAND"));
    }
    comment(post, tool, findings);
    return findings;
  }

  private static void offsets(Post post, PostedTool posted, List<Finding> findings) {
    PostNumbers range = post.offsets();
    boolean same = post.offsetForm() == OffsetForm.SAME_AS_NUMBER;
    for (int offset : posted.offsets()) {
      if (same && offset != posted.number()) {
        findings.add(
            Finding.hold(
                "post-offset",
                "offset %d is not its number, %d, as %s has it"
                    .formatted(offset, posted.number(), post.name())));
      } else if (range != null && !range.has(offset)) {
        findings.add(
            Finding.hold(
                "post-offset",
                "offset %d is none that %s writes (%s)"
                    .formatted(offset, post.name(), range.words())));
      }
    }
  }

  private static void comment(Post post, Tool tool, List<Finding> findings) {
    if (post.commentLength() == 0) {
      return;
    }
    CommentFit.Fitted fitted =
        CommentFit.fit(tool.name(), post.commentCharacters(), post.commentLength());
    if (!fitted.changes().isEmpty()) {
      findings.add(
          Finding.query(
              "post-comment",
              "its name is written '%s': %s"
                  .formatted(fitted.text(), String.join(", ", fitted.changes()))));
    }
  }
}
