package arborline.core.inspect;

import arborline.core.exchange.RawTool;
import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.OptionalInt;

/** A line with the judgement on it. */
public record Inspected(
    RawTool raw, Tool tool, OptionalInt number, List<Finding> findings, Disposition disposition) {}
