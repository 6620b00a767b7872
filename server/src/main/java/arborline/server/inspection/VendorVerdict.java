package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.core.inspect.Settled;
import arborline.core.vendor.ItemChange;
import arborline.core.vendor.ReleaseOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What a release means for an item that the shop has of that vendor.
 *
 * @param skipped true where it changes nothing
 * @param proposal what is taken of it unless somebody chooses; empty where somebody must
 * @param findings that say so
 */
record VendorVerdict(boolean skipped, Optional<Settled> proposal, List<Finding> findings) {

  /** The code of the finding where vendor and shop both changed a value. */
  static final String CONFLICT = "vendor-conflict";

  private static VendorVerdict nothing(String code, String sentence) {
    return new VendorVerdict(true, Optional.empty(), List.of(Finding.note(code, sentence, "CODE")));
  }

  /** Of a release that is older than the one which the shop took. */
  static Optional<VendorVerdict> older(String item, String taken, String now) {
    boolean older =
        !taken.isEmpty() && !now.isEmpty() && ReleaseOrder.OLDEST_FIRST.compare(now, taken) < 0;
    return older
        ? Optional.of(
            nothing(
                "vendor-older",
                "the shop has %s from release %s, which is newer than %s; nothing of it is changed"
                    .formatted(item, taken, now)))
        : Optional.empty();
  }

  /**
   * Of what the vendor changed.
   *
   * @param corrected fields that somebody corrected on the line, which are taken as well
   */
  static VendorVerdict of(String item, String now, ItemChange change, Set<String> corrected) {
    Set<String> fields = new TreeSet<>(change.proposed());
    fields.addAll(corrected);
    Set<String> open = new TreeSet<>(change.asked());
    open.removeAll(corrected);
    String release = now.isEmpty() ? "the vendor" : "release " + now;
    if (open.isEmpty() && fields.isEmpty()) {
      return nothing(
          "vendor-unchanged",
          "%s says of %s what the shop took before; the shop's own values stay"
              .formatted(release, item));
    }
    List<Finding> said = new ArrayList<>(conflicts(change, open));
    if (!change.proposed().isEmpty()) {
      said.add(
          Finding.note(
              "vendor-changed",
              "%s changes %s: %s".formatted(release, item, listed(change)),
              change.proposed().toArray(new String[0])));
    }
    if (!open.isEmpty()) {
      return new VendorVerdict(false, Optional.empty(), said);
    }
    return new VendorVerdict(
        false, Optional.of(new Settled(Settled.Answer.MERGE, new TreeSet<>(fields))), said);
  }

  private static String listed(ItemChange change) {
    return change.fields().stream()
        .filter(field -> field.outcome() == ItemChange.Outcome.FOLLOWS)
        .map(field -> "%s %s to %s".formatted(field.field(), shown(field.before()), field.now()))
        .collect(Collectors.joining("; "));
  }

  private static List<Finding> conflicts(ItemChange change, Set<String> open) {
    if (open.isEmpty()) {
      return List.of();
    }
    String fields =
        change.fields().stream()
            .filter(field -> open.contains(field.field()))
            .map(VendorVerdict::sentence)
            .collect(Collectors.joining("; "));
    return List.of(
        Finding.hold(CONFLICT, fields + ": choose which stands", open.toArray(new String[0])));
  }

  private static String sentence(ItemChange.Field field) {
    return "%s was %s and %s, the shop has %s"
        .formatted(
            field.field(),
            shown(field.before()),
            switch (field.outcome()) {
              case UNREAD -> "could not be read now (%s)".formatted(field.now());
              case WITHDRAWN -> "is no longer said with the vendor";
              case FOLLOWS, CONFLICT, AGREES -> "is now %s with the vendor".formatted(field.now());
            },
            shown(field.ours()));
  }

  private static String shown(String value) {
    return value.isEmpty() ? "not said" : value;
  }
}
