package arborline.core.designation;

import arborline.core.finding.Finding;
import java.util.List;
import java.util.Optional;

/**
 * What a designation was understood as.
 *
 * @param value nothing where it is wrong
 * @param findings what is wrong with it, or should be looked at
 */
public record Decoded<T>(Optional<T> value, List<Finding> findings) {

  static <T> Decoded<T> of(T value, List<Finding> findings) {
    return new Decoded<>(Optional.of(value), List.copyOf(findings));
  }

  static <T> Decoded<T> wrong(String code, String message) {
    return new Decoded<>(Optional.empty(), List.of(Finding.hold(code, message)));
  }

  public boolean valid() {
    return value.isPresent();
  }
}
