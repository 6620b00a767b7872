import { redirect } from '@sveltejs/kit';
import { units } from '$lib/quantity/units.svelte';
import { who } from '$lib/shell/session.svelte';
import type { LayoutLoad } from './$types';

export const ssr = false;

/** Pages for those who are not signed in. */
const OPEN = ['/sign-in', '/welcome'];

/** The page that is shown; empty while one is on its way. */
let path = '';

export const load: LayoutLoad = async ({ url }) => {
  if (url.pathname === path && who.current.name) return;
  path = '';
  const session = await who.load();
  if (!session.name && !OPEN.includes(url.pathname)) {
    redirect(307, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
  }
  if (session.name) await units.load();
  path = url.pathname;
};
