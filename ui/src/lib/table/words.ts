const DECISIONS: Record<string, string> = {
  send: 'send the plan',
  'send zero wear': 'send it, wear to zero',
  take: "take the control's",
  owner: 'each field to its owner',
  leave: 'leave as it is'
};

/** What is done about a place, where nothing more is known of it. */
export const decisionWords = (decision: string) => DECISIONS[decision] ?? decision;
