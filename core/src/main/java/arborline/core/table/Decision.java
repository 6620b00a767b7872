package arborline.core.table;

/** What is done about a place where plan and control differ. */
public enum Decision {
  /** The plan goes to the control; its wear stays unless the tool is another one. */
  SEND,
  /** The control's word goes into the plan. */
  TAKE,
  /** Each field goes the way its owner says. */
  OWNER,
  /** Nothing is done now. */
  LEAVE
}
