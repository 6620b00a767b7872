package arborline.core.table;

/** What is done about a place where plan and control differ. */
public enum Decision {
  /** The plan goes to the control; its wear stays unless the physical tool is another one. */
  SEND,
  /** As {@link #SEND}, and the wear begins at zero. */
  SEND_ZERO_WEAR,
  /** The control's word goes into the plan. */
  TAKE,
  /** Each field goes the way its owner says. */
  OWNER,
  /** Nothing is done now. */
  LEAVE,
  /** A person decides; nothing is preselected. */
  ASK
}
