import { toast } from 'svelte-sonner';
import { api, ask, Problem } from '$lib/api/client';

/** Says that something was done, with the way back where there is one. */
export function done(text: string, undo?: number, after?: () => void) {
  if (!undo) {
    toast(text);
    return;
  }
  toast(text, {
    duration: 12000,
    action: {
      label: 'Undo',
      onClick: () => {
        ask(api.POST('/api/v1/trail/{id}/undo', { params: { path: { id: undo } } }))
          .then(() => {
            toast('Taken back');
            after?.();
          })
          .catch(failed);
      }
    }
  });
}

/** Says what went wrong, in the server's words. */
export function failed(error: unknown) {
  const text = error instanceof Problem ? error.message : 'something went wrong in this page';
  toast.error(text.charAt(0).toUpperCase() + text.slice(1), { duration: 10000 });
}
