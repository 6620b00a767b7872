package arborline.core.table;

import java.util.ArrayList;
import java.util.List;

/**
 * Whether a control holds what was written, judged by everything it will use for the tool:
 * identity, number, offset, name, sizes and wear; not only by what was sent.
 */
public final class Proof {

  private Proof() {}

  /** What is not as it should be, in words; empty where the control holds all of it. */
  public static List<String> faults(ControlTerms terms, ControlTable after, RowWrite row) {
    TableEntry target = row.target();
    TableEntry now = now(after, row);
    List<String> faults = new ArrayList<>();
    if (target.empty()) {
      if (!now.empty()) {
        faults.add(
            "%s still holds %s"
                .formatted(row.place(), now.named() ? now.get(TableField.TOOL) : "a tool"));
      }
      return faults;
    }
    for (TableField field : terms.fields()) {
      if (!goesOn(field, row) && !terms.shownAlike(field, target.get(field), now.get(field))) {
        faults.add(
            "%s of %s should be %s and is %s"
                .formatted(
                    field.title(),
                    row.place(),
                    sentence(target.get(field)),
                    sentence(now.get(field))));
      }
    }
    after
        .places()
        .forEach((place, entry) -> {
          if (!place.equals(row.place())
              && target.named()
              && entry.identity().equals(target.identity())) {
            faults.add("%s is in %s as well".formatted(target.get(TableField.TOOL), place));
          }
        });
    return faults;
  }

  /** Life that was not written goes on while the control cuts; wear is what it cuts with. */
  private static boolean goesOn(TableField field, RowWrite row) {
    return field.owner() == Owner.CONTROL
        && field.form() != TableField.Form.WEAR
        && !row.fields().contains(field);
  }

  private static TableEntry now(ControlTable after, RowWrite row) {
    return after
        .spindle()
        .filter(entry -> entry.named())
        .filter(entry -> entry.identity().equals(row.target().identity()))
        .orElse(after.at(row.place()));
  }

  private static String sentence(String text) {
    return text == null ? "not set" : text;
  }
}
