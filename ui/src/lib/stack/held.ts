import type { ToolAnswer } from '$lib/api/client';

/** Properties that a shank goes by: diameter, or height of a square one. */
const SHANK = ['DMM', 'H'];

/** True for what is put into a holder: what is round, or has a shank; an insert is held by a tool. */
export function isHeld(answer: ToolAnswer | null | undefined): boolean {
  if (!answer?.outline || answer.sketch) return false;
  const round = answer.outline.parts.some(({ flat }) => !flat);
  return round || SHANK.some((symbol) => answer.values[symbol] ?? answer.implied[symbol]);
}
