package arborline.server.library;

import arborline.core.library.NumberRange;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What somebody changes of a library; null members stay as they are. */
public record LibraryChange(
    @Nullable String name,
    @Nullable String purpose,
    @Nullable List<@Nullable String> processes,
    @Nullable List<LibrarySettings.@Nullable Label> labels,
    @Nullable List<@Nullable NumberRange> ranges,
    @Nullable Boolean follows,
    @Nullable Boolean archived) {

  LibrarySettings of(LibrarySettings before) {
    return SettingsCheck.checked(
        new LibrarySettings(
            Optional.ofNullable(name).orElse(before.name()),
            Optional.ofNullable(purpose).orElse(before.purpose()),
            SettingsCheck.full("processes", processes).orElse(before.processes()),
            SettingsCheck.full("labels", labels).orElse(before.labels()),
            SettingsCheck.full("ranges", ranges).orElse(before.ranges()),
            Optional.ofNullable(follows).orElse(before.follows()),
            Optional.ofNullable(archived).orElse(before.archived())));
  }
}
