package arborline.server.link;

import org.jspecify.annotations.Nullable;

/**
 * One way in which things hang on another.
 *
 * @param words how one, or several of them, hang on it: {@code {holds|hold} it}
 * @param from where they are found: a query from its {@code from} on, with {@code :id} of what is
 *     changed and {@code :hidden}, the libraries that whoever asks does not see
 * @param tool column of tools of which only those count that whoever asks sees; null for none
 */
record Touching(TouchedEnd end, String words, String from, @Nullable String tool) {

  Touching(TouchedEnd end, String words, String from) {
    this(end, words, from, null);
  }

  /**
   * Where they are found.
   *
   * @param some true where there are libraries that whoever asks does not see
   */
  String from(boolean some) {
    return some && tool != null
        ? from
            + """
             and (exists (select 1 from entry x where x.tool_id = %1$s and x.library_id not in (:hidden))
              or not exists (select 1 from entry x where x.tool_id = %1$s))\
            """
                .formatted(tool)
        : from;
  }

  /** What is said of one, or of several. */
  String words(long count) {
    return words.replaceAll("\\{(.*)\\|(.*)}", count == 1 ? "$1" : "$2");
  }
}
