package arborline.core.connection;

import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * One side of a joint, read from a code {@code FAMILY-FORM-SIZE:gender}.
 *
 * @param form letters behind the family
 * @param size as written
 * @param socket true for a socket or bore ({@code f}), false for a shank or pilot ({@code m})
 */
public record Connection(Family family, String form, String size, boolean socket) {

  private static final Pattern CODE =
      Pattern.compile("([A-Z]{2})-([A-Z]{1,2})-([0-9.x]+(?:in)?):([fm])");

  private static final Map<String, Family> FAMILIES =
      ServiceLoader.load(Family.class, Family.class.getClassLoader()).stream()
          .map(ServiceLoader.Provider::get)
          .collect(Collectors.toMap(Family::id, family -> family));

  /**
   * A code after reading.
   *
   * @param connection nothing where it is wrong
   * @param fault what is wrong with it; empty where nothing is
   */
  public record Read(Optional<Connection> connection, String fault) {}

  /** Reads a code such as {@code ST-AD-40:m}. */
  public static Read read(String code) {
    Matcher parts = CODE.matcher(code.strip());
    if (!parts.matches()) {
      return new Read(Optional.empty(), "code does not follow FAMILY-FORM-SIZE:gender");
    }
    Family family = FAMILIES.get(parts.group(1));
    if (family == null) {
      return new Read(Optional.empty(), "family %s unknown".formatted(parts.group(1)));
    }
    Connection read =
        new Connection(family, parts.group(2), parts.group(3), parts.group(4).equals("f"));
    return family
        .fault(read)
        .map(fault -> new Read(Optional.empty(), fault))
        .orElseGet(() -> new Read(Optional.of(read), ""));
  }

  /** What people call a code; the code itself where it is none that we know. */
  public static String tradeName(String code) {
    return read(code)
        .connection()
        .map(connection -> connection.family().tradeName(connection))
        .orElse(code);
  }

  /** What it goes into or what goes into it: the same with the other gender. */
  public Connection counterpart() {
    return new Connection(family, form, size, !socket);
  }

  /** The code itself. */
  public String code() {
    return "%s-%s-%s:%s".formatted(family.id(), form, size, socket ? "f" : "m");
  }
}
