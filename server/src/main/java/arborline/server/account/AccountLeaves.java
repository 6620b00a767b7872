package arborline.server.account;

/** Told inside the transaction that shuts an account out; whoever needs it there refuses. */
public record AccountLeaves(long account, String name) {}
