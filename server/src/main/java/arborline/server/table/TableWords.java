package arborline.server.table;

import arborline.core.table.Decision;
import arborline.core.table.Why;
import arborline.server.support.Refusal;
import java.util.Locale;
import java.util.stream.Stream;

/** Names in messages of what is asked and decided about places. */
final class TableWords {

  private TableWords() {}

  /** {@code send zero wear}. */
  static String decision(Decision decision) {
    return decision.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /**
   * The decision of a name.
   *
   * @param place about which it is
   */
  static Decision decision(String place, String text) {
    return Stream.of(Decision.values())
        .filter(decision -> decision(decision).equals(text.toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElseThrow(() ->
            Refusal.badRequest(
                "%s: '%s' is not send, send zero wear, take, owner or leave"
                    .formatted(place, text)));
  }

  /** The question of a name: {@code gone-from-control}. */
  static Why question(String code) {
    return Stream.of(Why.values())
        .filter(why -> why.code().equals(code) && why != Why.IN_SPINDLE_CHANGED)
        .findFirst()
        .orElseThrow(() -> Refusal.notFound("nothing is asked under the name '" + code + "'"));
  }
}
