import { afterNavigate, beforeNavigate, goto } from '$app/navigation';
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
  /** What was written here: the list is as it says, or further already. */
  let own: string | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  untrack(() => narrow(filter, page.url.searchParams));
  // Whoever goes elsewhere meanwhile is not called back.
  beforeNavigate(() => clearTimeout(timer));
  afterNavigate(({ to, type }) => {
    if (to && type !== 'enter' && to.url.search !== own) narrow(filter, to.url.searchParams);
    own = null;
    arrived = true;
  });
  $effect(() => {
    const { pathname, search, hash } = window.location;
    const wanted = written(filter, search);
    if (!arrived || wanted === search.slice(1)) return;
    timer = setTimeout(() => {
      own = wanted && `?${wanted}`;
      void goto(`${pathname}${own}${hash}`, {
        replaceState: true,
        keepFocus: true,
        noScroll: true
      });
    }, PAUSE);
    return () => clearTimeout(timer);
  });
}
