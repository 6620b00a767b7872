package arborline.core.post;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What operations begin with, by key.
 *
 * @param values as files write them; what is not there is not said
 */
public record OperationDefaults(Map<String, String> values) {

  public OperationDefaults {
    values = new TreeMap<>(values == null ? Map.of() : values);
  }

  /** What of it cannot be, as sentences. */
  public List<String> faults() {
    List<String> faults = new ArrayList<>();
    values.forEach((key, value) ->
        DefaultKey.named(key)
            .ifPresentOrElse(
                known ->
                    (value == null
                            ? java.util.Optional.of(key + ": the value is missing")
                            : known.fault(value))
                        .ifPresent(faults::add),
                () -> faults.add("'%s' is no default that is known".formatted(key))));
    return faults;
  }
}
