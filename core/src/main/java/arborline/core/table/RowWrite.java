package arborline.core.table;

import java.util.Set;

/**
 * What is written for one place.
 *
 * @param target everything the control must hold afterwards, in its own terms; empty clears the
 *     place; a size that is not there must be not set
 * @param fields the fields to write
 * @param otherTool true where the place gets another tool
 */
public record RowWrite(
    String place, TableEntry target, Set<TableField> fields, boolean otherTool) {}
