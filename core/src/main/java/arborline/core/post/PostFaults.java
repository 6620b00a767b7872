package arborline.core.post;

import arborline.core.property.Dictionary;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Says what of a post cannot be: each with its place, the reason and the remedy. */
public final class PostFaults {

  private static final int LONGEST_NAME = 80;
  private static final int HIGHEST = 99_999_999;
  private static final int LONGEST_COMMENT = 200;
  private static final int MOST_SYMBOLS = 40;

  private PostFaults() {}

  /** All faults, as sentences; empty where the post can be used. */
  public static List<String> of(Post post) {
    List<String> faults = new ArrayList<>();
    if (post.name() == null || post.name().isBlank() || post.name().length() > LONGEST_NAME) {
      faults.add("name: 1 to %d characters".formatted(LONGEST_NAME));
    }
    if (post.numbers() == null) {
      faults.add("numbers: state from which to which it writes");
    }
    range(faults, "numbers", post.numbers());
    range(faults, "offsets", post.offsets());
    if (post.offsetForm() == null) {
      faults.add("offsetForm: choose how offset numbers stand in programs");
    }
    if (post.commentLength() < 0 || post.commentLength() > LONGEST_COMMENT) {
      faults.add("commentLength: 0 to %d".formatted(LONGEST_COMMENT));
    }
    characters(faults, post.commentCharacters());
    post.needed()
        .forEach((process, symbols) -> {
          if (symbols.size() > MOST_SYMBOLS) {
            faults.add("needed.%s: %d values at most".formatted(process, MOST_SYMBOLS));
          }
          symbols.stream()
              .filter(symbol -> !Dictionary.standard().has(symbol))
              .forEach(symbol ->
                  faults.add(
                      "needed.%s: '%s' is no property of ISO 13399".formatted(process, symbol)));
        });
    return faults;
  }

  private static void range(List<String> faults, String at, @Nullable PostNumbers range) {
    if (range != null && (range.from() < 0 || range.to() > HIGHEST || range.from() > range.to())) {
      faults.add("%s: from 0 or more up to its last number".formatted(at));
    }
  }

  private static void characters(List<String> faults, String listed) {
    boolean bracket = listed.indexOf('[') >= 0 || listed.indexOf(']') >= 0;
    if (bracket || listed.contains("&&") || listed.length() > LONGEST_NAME) {
      faults.add("commentCharacters: list them, without brackets and &&");
      return;
    }
    try {
      Pattern.compile("[" + listed + "]");
    } catch (IllegalArgumentException unreadable) {
      if (!listed.isEmpty()) {
        faults.add("commentCharacters: this is no list of characters");
      }
    }
  }
}
