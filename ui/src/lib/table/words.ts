const DECISIONS: Record<string, string> = {
  send: 'send the plan',
  'send zero wear': 'send it, wear to zero',
  take: "take the control's",
  owner: 'each field to its owner',
  leave: 'leave as it is'
};

/** Decisions that mean more where one side has nothing, by question and decision. */
const OF_QUESTION: Record<string, string> = {
  'gone-from-control take': 'take it out of the plan',
  'not-in-plan send': 'empty it at the control',
  'plan-cleared send': 'empty it at the control'
};

/** What is done wherever a question comes up. */
export const decisionWords = (question: string, decision: string) =>
  OF_QUESTION[`${question} ${decision}`] ?? DECISIONS[decision] ?? decision;

/** So much a clock may be off before that is worth saying, s. */
const WRONG = 120;

/** That the clock of a control is wrong; nothing where it is not, or says no time. */
export function clockWords(ahead: number | undefined | null): string {
  if (ahead == null || Math.abs(ahead) < WRONG) return '';
  const minutes = Math.round(Math.abs(ahead) / 60);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  const time = [hours ? `${hours} h` : '', rest ? `${rest} min` : ''].filter(Boolean).join(' ');
  return `its clock is ${time} ${ahead > 0 ? 'fast' : 'slow'}; times here are ours`;
}
