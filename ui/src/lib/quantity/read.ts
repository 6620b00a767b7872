import { api, ask } from '$lib/api/client';

/** What the server understands of a number as people write it, in the unit `to`. */
export const explainQuantity = (text: string, from: string, to: string) =>
  ask(api.GET('/api/v1/explain/quantity', { params: { query: { text, from, to } } }));

/**
 * Has the server read a number as people write it.
 *
 * @param from the unit where the text names none
 * @returns the size in the unit `to`
 * @throws Error that says what is wrong with the text
 */
export async function readQuantity(text: string, from: string, to: string): Promise<number> {
  const answer = await explainQuantity(text, from, to);
  if (!answer.valid) throw new Error(`'${text}': ${answer.why}`);
  return Number(answer.exact);
}
