package arborline.server.inspection;

import arborline.core.inspect.Settled;
import arborline.core.stack.Component;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What somebody chose for a line whose code the shop has for another tool.
 *
 * @param fields that come from the line when both are merged
 * @param against content of the shop's tool against which it was chosen; null until it is judged
 * @param proposed true where it follows from what the vendor changed and nobody chose; else null
 */
public record LineChoice(
    Settled.Answer answer,
    List<String> fields,
    @Nullable String against,
    @Nullable Boolean proposed) {

  private static final int MOST = 200;

  /** A choice that somebody makes. */
  static LineChoice of(@Nullable String answer, @Nullable List<String> fields) {
    Settled.Answer known =
        switch (answer == null ? "" : answer) {
          case "keep" -> Settled.Answer.KEEP;
          case "replace" -> Settled.Answer.REPLACE;
          case "merge" -> Settled.Answer.MERGE;
          default -> throw Refusal.badRequest("answer is keep, replace or merge");
        };
    List<String> from = fields == null ? List.of() : fields;
    if (from.size() > MOST || from.stream().anyMatch(field -> field == null)) {
      throw Refusal.badRequest("fields are symbols, NAME, CLASS or NOTES");
    }
    if (known == Settled.Answer.MERGE && from.isEmpty()) {
      throw Refusal.badRequest("say which fields come from the line");
    }
    return new LineChoice(known, from, null, null);
  }

  /** What follows from what a vendor changed. */
  static LineChoice proposed(Settled settled, String against) {
    return new LineChoice(settled.answer(), List.copyOf(settled.fields()), against, true);
  }

  /** The same, made against a tool where it was not yet. */
  LineChoice against(String hash) {
    return against == null ? new LineChoice(answer, fields, hash, proposed) : this;
  }

  /** What the shop's part is after it. */
  public Component settled(Component arriving, Component present) {
    return VendorLines.settled(arriving, present, settled());
  }

  public Settled settled() {
    return new Settled(answer, new TreeSet<>(fields));
  }
}
