import { redirect } from '@sveltejs/kit';
import { units } from '$lib/quantity/units.svelte';
import { who } from '$lib/shell/session.svelte';
import type { LayoutLoad } from './$types';

export const ssr = false;

let path = '';

export const load: LayoutLoad = async ({ url }) => {
  const samePage = url.pathname === path && who.current.name;
  path = url.pathname;
  if (samePage) return;
  const session = await who.load();
  if (!session.name && url.pathname !== '/sign-in') {
    redirect(307, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
  }
  if (session.name) await units.load();
};
