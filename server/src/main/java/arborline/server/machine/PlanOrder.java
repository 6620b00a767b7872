package arborline.server.machine;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What to put into a place.
 *
 * @param libraryId from which it was picked, by whose version and number it goes; null for the one
 *     from which it is planned already, else any that has it
 * @param from the place that it leaves, where several of it are planned; null where that is clear
 * @param another true for one more of a tool that is planned already: its sister
 * @param length measured length from the gauge line as typed; null keeps what is known
 * @param diameter measured diameter as typed; null keeps what is known
 * @param allow true where the lead lets a tool in that is not released
 * @param sizes measured sizes as typed, by name, such as {@code noseRadius}; a blank forgets one;
 *     null keeps all
 */
public record PlanOrder(
    long toolId,
    @Nullable Long libraryId,
    @Nullable String from,
    @Nullable Boolean another,
    @Nullable String length,
    @Nullable String diameter,
    @Nullable Boolean allow,
    @Nullable Map<String, String> sizes) {

  boolean sister() {
    return Boolean.TRUE.equals(another);
  }
}
