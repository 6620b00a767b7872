import type { QueryKey } from '@tanstack/svelte-query';
import { done, failed } from '$lib/shell/toast';
import { reload } from './cache';

/** Something a person does: what is asked, what is said of it, what it concerns. */
export interface Deed<T> {
  ask: () => Promise<T>;
  /** Said once it is done; nothing, or an empty text, where the page shows it anyway. */
  message?: string | ((answer: T) => string);
  /** What is loaded again, now and when it was taken back. */
  concerns: QueryKey[];
  /** What else is to happen when it was taken back. */
  undone?: () => void;
}

/** So long the page may take to load what came of a deed before that is said all the same. */
const PATIENCE_MS = 1000;

/**
 * Does it, and says so once the page shows what came of it; the server's refusal is the caller's to
 * show.
 */
export async function perform<T>(deed: Deed<T>): Promise<T> {
  const answer = await deed.ask();
  const loaded = reload(...deed.concerns);
  if (deed.message) {
    await Promise.race([loaded, new Promise((late) => setTimeout(late, PATIENCE_MS))]);
    const text = typeof deed.message === 'string' ? deed.message : deed.message(answer);
    if (text) done(text, undoOf(answer), () => void reload(...deed.concerns).then(deed.undone));
  }
  await loaded;
  return answer;
}

/** Somebody was asked and leaves it; nothing is said of it. */
export class Declined extends Error {}

/** Does it and says a refusal; answers nothing then. */
export async function act<T>(deed: Deed<T>): Promise<T | undefined> {
  try {
    return await perform(deed);
  } catch (error) {
    if (!(error instanceof Declined)) failed(error);
    return undefined;
  }
}

function undoOf(answer: unknown): number | undefined {
  const undo = (answer as { undo?: number | null } | undefined)?.undo;
  return undo ?? undefined;
}
