package arborline.core.table;

import java.util.Set;

/**
 * What is written for one place.
 *
 * @param target what the control must hold afterwards; empty clears the pocket
 * @param fields the fields to write
 * @param otherTool true where the pocket gets another tool, so that its wear starts at zero
 */
public record RowWrite(
    String place, TableEntry target, Set<TableField> fields, boolean otherTool) {}
