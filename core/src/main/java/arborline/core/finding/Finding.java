package arborline.core.finding;

import java.util.List;
import java.util.Optional;

/**
 * One complaint or remark.
 *
 * @param code stable name of what was found
 * @param severity its weight
 * @param message a sentence with the actual numbers
 * @param properties the symbols it points at, most telling first
 * @param repair what would settle it, if anything can be offered
 */
public record Finding(
    String code,
    Severity severity,
    String message,
    List<String> properties,
    Optional<Repair> repair) {

  public Finding {
    properties = List.copyOf(properties);
  }

  public static Finding hold(String code, String message, String... properties) {
    return of(code, Severity.HOLD, message, properties);
  }

  public static Finding query(String code, String message, String... properties) {
    return of(code, Severity.QUERY, message, properties);
  }

  public static Finding note(String code, String message, String... properties) {
    return of(code, Severity.NOTE, message, properties);
  }

  public static Finding of(String code, Severity severity, String message, String... properties) {
    return new Finding(code, severity, message, List.of(properties), Optional.empty());
  }

  /** Under what it is listed among those of many lines. */
  public String kind() {
    return FindingKind.of(code);
  }

  public Finding withRepair(Repair offered) {
    return new Finding(code, severity, message, properties, Optional.of(offered));
  }
}
