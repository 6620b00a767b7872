import { Declined } from '$lib/api/act';
import { Problem } from '$lib/api/client';
import { who } from '$lib/shell/session.svelte';

/** A job that a change of a load would change, and why. */
interface JobChange {
  job: number;
  name: string;
  why: string;
}

/** What would become of jobs, and who waits for what is said to it. */
interface Asked {
  jobs: JobChange[];
  answer: (yes: boolean) => void;
}

export const asking = $state<{ now: Asked | null }>({ now: null });

/** Jobs that what was refused would change; none where it was refused for something else. */
export function changedJobs(error: unknown): JobChange[] {
  const details =
    error instanceof Problem ? (error.details as { jobs?: JobChange[] } | null) : null;
  return details?.jobs ?? [];
}

/**
 * Asks for a change of a load; where it would change jobs, the lead is asked whether to make it all
 * the same.
 *
 * @throws Declined where the lead leaves it
 */
export async function despiteJobs<T>(ask: (changeJobs?: true) => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    const jobs = changedJobs(error);
    if (jobs.length === 0 || who.current.role !== 'lead') throw error;
    const yes = await new Promise<boolean>((answer) => (asking.now = { jobs, answer }));
    asking.now = null;
    if (!yes) throw new Declined();
    return ask(true);
  }
}
