package arborline.server.link;

import arborline.server.support.Refusal;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Has links of one kind lead elsewhere. One file for each kind. */
interface LinkSetter {

  /** From what its links lead. */
  LinkKind from();

  /** To what they can lead. */
  Set<LinkKind> to();

  /**
   * Has a link lead elsewhere; a part of a transaction. Records what takes it back.
   *
   * @param from id of what it leads from
   * @param old id of what it led to
   * @param kind of what it is to lead to, one of {@link #to}
   * @param id of what it is to lead to
   */
  void set(String from, String old, LinkKind kind, String id);

  /** An id that is a number. */
  static long number(String id) {
    try {
      return Long.parseLong(id);
    } catch (NumberFormatException word) {
      throw Refusal.badRequest("'%s' is no number".formatted(id));
    }
  }

  /** A library, and an edition of it where one is meant. */
  record LibraryAim(long library, @Nullable Long edition) {}
}
