package arborline.core.library;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Where a tool stands in a library: a section, and perhaps a section in it. In files a tool's
 * sections are one text: {@code Roughing / Long; Aluminium}.
 *
 * @param name of the section on the first level
 * @param within the name of the section in it; empty for none
 */
public record SectionPath(String name, String within) {

  /** How long a name may be. */
  public static final int LONGEST = 60;

  private static final String LEVEL = " / ";
  private static final String NEXT = "; ";

  /** The sections that a text names; a third level and below become part of the second. */
  public static List<SectionPath> parse(String text) {
    return Arrays.stream(text.split(";"))
        .map(String::strip)
        .filter(path -> !path.isEmpty())
        .map(SectionPath::one)
        .filter(path -> !path.name().isEmpty())
        .distinct()
        .toList();
  }

  private static SectionPath one(String path) {
    int level = path.indexOf(LEVEL);
    return level <= 0
        ? new SectionPath(cut(path), "")
        : new SectionPath(cut(path.substring(0, level)), cut(path.substring(level + 3)));
  }

  private static String cut(String name) {
    String plain = VisibleText.only(name.replace(LEVEL, "/")).strip();
    return plain.length() > LONGEST ? plain.substring(0, LONGEST).strip() : plain;
  }

  /** Why a text is no name of a section; nothing where it is one. */
  public static Optional<String> fault(String name) {
    if (name.isBlank() || name.strip().length() > LONGEST) {
      return Optional.of("a section needs a name of 1 to %d characters".formatted(LONGEST));
    }
    if (name.contains(";") || name.contains(LEVEL)) {
      return Optional.of("the name of a section has no semicolon and no ' / ' in it");
    }
    return VisibleText.fault("name", name);
  }

  /** What makes two names the same. */
  public static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  public String text() {
    return within.isEmpty() ? name : name + LEVEL + within;
  }

  /** One text of several. */
  public static String text(List<SectionPath> paths) {
    return String.join(NEXT, paths.stream().map(SectionPath::text).toList());
  }
}
