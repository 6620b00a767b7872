package arborline.server.account;

/**
 * Told inside the transaction that does something to an account.
 *
 * @param text a sentence without its subject, for the trail: "invited anna as programmer"
 */
public record AccountDone(long account, String text) {}
