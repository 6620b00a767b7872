package arborline.server.link;

import arborline.server.support.Refusal;
import java.util.List;

/** What hangs on things of one kind. One file for each kind. */
interface TouchedSubject {

  LinkKind kind();

  /**
   * The id as it is looked for; refuses where there is no such thing, or whoever asks may not see
   * it.
   */
  Object need(String id);

  /** In the order in which they are shown. */
  List<Touching> touching();

  /** An id that is a number. */
  static long number(String id) {
    try {
      return Long.parseLong(id);
    } catch (NumberFormatException wrong) {
      throw Refusal.badRequest("id: '%s' is no number".formatted(id));
    }
  }
}
