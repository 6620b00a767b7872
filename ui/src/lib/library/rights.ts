import type { LibraryRight, RightsView, Sharing } from '$lib/api/client';
import { who } from '$lib/shell/session.svelte';
import { capital } from '$lib/shell/text';

/** Rights, each including those before it, with what one may do who has it. */
export const rights: { value: LibraryRight; label: string }[] = [
  { value: 'USE', label: 'use it' },
  { value: 'PROPOSE', label: 'propose changes' },
  { value: 'MAINTAIN', label: 'change what is in it' },
  { value: 'OWNER', label: 'own it' }
];

export const sharings: { value: Sharing; label: string; means: string }[] = [
  { value: 'SHOP', label: 'with the shop', means: 'Everybody sees it and does what his role may.' },
  {
    value: 'REFERENCE',
    label: 'as a reference',
    means:
      'Everybody sees it, nobody changes what is in it. Its tools stay at the versions they have.'
  },
  {
    value: 'PRIVATE',
    label: 'only with those named here',
    means: 'Nobody else sees it; the lead sees that it is there.'
  }
];

const place = (right: LibraryRight) => rights.findIndex(({ value }) => value === right);

/** Those that can be given to somebody whose role allows so much at most. */
export const upTo = (most: LibraryRight) => rights.slice(0, place(most) + 1);

/** True where a right includes another; no right includes none. */
export function includes(right: LibraryRight | null | undefined, needed: LibraryRight): boolean {
  return right ? place(right) >= place(needed) : false;
}

interface Shared {
  right?: LibraryRight | null;
}

/** True where whoever is signed in may change what is in a library. */
export const mayMaintain = (library: Shared | undefined): boolean =>
  who.may('EDIT') && includes(library?.right, 'MAINTAIN');

/** True where whoever is signed in may propose changes to those who maintain a library. */
export const mayPropose = (library: Shared | undefined): boolean =>
  who.may('PROPOSE') && includes(library?.right, 'PROPOSE');

/** True where whoever is signed in may change what a library is. */
export const mayOwn = (library: Shared | undefined): boolean =>
  who.may('EDIT') && includes(library?.right, 'OWNER');

/** What somebody may do in a library and who can change that, as one sentence. */
export function said(view: RightsView): string {
  if (view.sharing === 'REFERENCE') {
    return `A reference: nobody changes what is in it. ${capital(view.administrators)} can change that.`;
  }
  const may =
    rights.find(({ value }) => value === view.right)?.label ?? 'see only that it is there';
  const mine = view.right === 'OWNER' ? 'You own it' : `You may ${may}`;
  return `${mine}. Changed by ${view.maintainers}; who may do what is said by ${view.administrators}.`;
}
