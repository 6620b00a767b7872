package arborline.server.tool;

/** Told inside the transaction that gives a tool another version, code or name. */
public record ToolChanged(CurrentTool now) {}
