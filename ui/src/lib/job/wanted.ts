import type { JobView } from '$lib/api/client';
import type { Wanted } from '$lib/machine/wanted';

/** The tools that a job calls as tools that have to be in a machine, each once. */
export const wantedOf = ({ tools }: Pick<JobView, 'tools'>): Wanted[] =>
  tools
    .filter(({ toolId }, index) => tools.findIndex((tool) => tool.toolId === toolId) === index)
    .map(({ toolId, libraryId, code, name, outline }) => ({
      toolId,
      libraryId: libraryId ?? 0,
      code,
      name,
      outline
    }));
