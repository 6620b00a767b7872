package arborline.server.account;

/** What a role may do besides looking. */
public enum Permission {
  /** Change libraries and tools. */
  EDIT,
  /** Propose changes that others take or decline. */
  PROPOSE,
  /** Bring deliveries in and take them. */
  RECEIVE,
  /** Change load plans and write to controls. */
  LOAD,
  /** Assemble, measure and carry physical tools, and say how they are. */
  HANDLE,
  /** Say which cutting data proved good at a machine. */
  PROVE,
  /** Invite people and say what they may do. */
  MANAGE_ACCOUNTS
}
