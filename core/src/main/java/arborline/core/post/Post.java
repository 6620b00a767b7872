package arborline.core.post;

import arborline.core.tool.Process;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a post-processor needs of a tool.
 *
 * @param numbers tool numbers that it can write
 * @param offsets offset numbers that it can write; null where they are the tool numbers
 * @param commentLength longest comment; 0 where it writes none
 * @param commentCharacters characters of comments, as the inside of a regular expression class
 * @param orientation true where turning tools need a tip orientation
 * @param needed values that must be stated, by kind of work
 */
public record Post(
    String name,
    PostNumbers numbers,
    OffsetForm offsetForm,
    @Nullable PostNumbers offsets,
    int commentLength,
    String commentCharacters,
    boolean orientation,
    Map<Process, List<String>> needed) {

  public Post {
    commentCharacters = commentCharacters == null ? "" : commentCharacters;
    Map<Process, List<String>> sorted = new EnumMap<>(Process.class);
    if (needed != null) {
      needed.forEach((process, symbols) -> sorted.put(process, List.copyOf(symbols)));
    }
    needed = sorted;
  }
}
