package arborline.core.merge;

/** What can stand on one side of a merge: a whole tool, or one field of it. */
public sealed interface MergeContent permits MergeTool, MergeField {}
