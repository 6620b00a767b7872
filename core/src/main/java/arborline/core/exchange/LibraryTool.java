package arborline.core.exchange;

import arborline.core.tool.Tool;
import java.util.OptionalInt;

/** A tool as it stands in a library: with its number there. */
public record LibraryTool(Tool tool, OptionalInt number) {}
