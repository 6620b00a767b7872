import { afterNavigate, replaceState } from '$app/navigation';
import { page } from '$app/state';
import { untrack } from 'svelte';
import { narrow, written } from './address';
import type { ListFilter } from './filter.svelte';

/** How long somebody pauses before the address follows, in milliseconds. */
const PAUSE = 100;

/**
 * Has the address of the page say what the list is narrowed to: whoever comes back to it, or is
 * sent it, sees the same tools.
 */
export function followAddress(filter: ListFilter) {
  let arrived = $state(false);
  untrack(() => narrow(filter, page.url.searchParams));
  afterNavigate(({ to, type }) => {
    if (to && type !== 'enter') narrow(filter, to.url.searchParams);
    arrived = true;
  });
  $effect(() => {
    const { pathname, search, hash } = window.location;
    const wanted = written(filter, search);
    if (!arrived || wanted === search.slice(1)) return;
    const address = `${pathname}${wanted && '?'}${wanted}${hash}`;
    const timer = setTimeout(() => replaceState(address, page.state), PAUSE);
    return () => clearTimeout(timer);
  });
}
