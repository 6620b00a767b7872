package arborline.core.loadplan;

import java.util.Optional;

/**
 * One tool carried once.
 *
 * @param from empty where it comes from outside or off the bench
 * @param to empty where it goes out or onto the bench
 * @param bench true where it lies on the bench before or after
 */
public record LoadMove(
    String tool, Optional<LoadPlace> from, Optional<LoadPlace> to, boolean bench) {}
