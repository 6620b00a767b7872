package arborline.server.library;

import java.util.List;

/**
 * A condition of a list query.
 *
 * @param sql that begins with {@code and}, or is empty
 * @param values of its places
 */
record ListCondition(String sql, List<Object> values) {

  static final ListCondition NONE = new ListCondition("", List.of());
}
