import type { HandleClientError } from '@sveltejs/kit';
import { Problem } from '$lib/api/client';

/** Says in words why a page could not be loaded. */
export const handleError: HandleClientError = ({ error }) => {
  const partMissing = error instanceof Error && /import|module/i.test(error.message);
  const unheard = error instanceof Problem ? error.message : undefined;
  return {
    message:
      unheard ??
      (partMissing ? 'the server does not answer; see that it runs' : 'we made a mistake')
  };
};
