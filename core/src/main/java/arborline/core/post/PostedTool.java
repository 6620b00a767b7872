package arborline.core.post;

import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;

/**
 * A tool as a post would write it.
 *
 * @param number that its library gives it
 * @param offsets that it has at the machine; the number where it is planned nowhere
 * @param orientation tip orientation at the machine; empty where none follows
 */
public record PostedTool(
    Tool tool, int number, List<Integer> offsets, Optional<Integer> orientation) {}
