import { createQuery } from '@tanstack/svelte-query';
import { Debounced } from 'runed';
import { foundToolsQuery, librariesQuery } from '$lib/library/queries';
import { rulesQuery } from '$lib/rule/queries';
import { who } from '$lib/shell/session.svelte';
import { pickedLibrary } from './pickedLibrary';
import { pickedFromQuery, unsuitedQuery } from './queries';

/**
 * Tools of a library that are offered for a machine, as somebody looks for them. Only released
 * ones, unless the shop plans all or the lead looks at all.
 *
 * @param chosen the library that somebody chose; undefined for the usual one
 * @param any whether it does not matter how far they are trusted
 */
export function offeredTools(machine: () => string, chosen: () => string | undefined, any = false) {
  let text = $state('');
  let all = $state(false);
  const words = new Debounced(() => text.trim(), 150);
  const libraries = createQuery(librariesQuery);
  const rules = createQuery(rulesQuery);
  const usual = createQuery(() => pickedFromQuery(machine()));
  const library = $derived(
    pickedLibrary(libraries.data?.items ?? [], usual.data?.library, chosen())
  );
  const onlyReleased = $derived(!any && !rules.data?.unreleased && !all);
  const tools = createQuery(() => ({
    ...foundToolsQuery(library, words.current, onlyReleased),
    enabled: library > 0
  }));
  const unsuited = createQuery(() => ({
    ...unsuitedQuery(
      machine(),
      library,
      (tools.data?.items ?? []).map(({ toolId }) => toolId)
    ),
    enabled: (tools.data?.items.length ?? 0) > 0
  }));
  const listed = $derived(
    (tools.data?.items ?? []).filter(({ standing }) =>
      onlyReleased ? standing === 'RELEASED' : standing !== 'RETIRED'
    )
  );
  const why = (toolId: number): string | undefined => unsuited.data?.[toolId];
  const left = $derived(listed.filter(({ toolId }) => why(toolId)).length);

  return {
    get text() {
      return text;
    },
    set text(value: string) {
      text = value;
    },
    /** Whether the lead looks at tools that are not released, too. */
    get all() {
      return all;
    },
    set all(value: boolean) {
      all = value;
    },
    /** Whether whoever looks may look at them. */
    get mayAll() {
      return !any && who.current.role === 'lead' && !rules.data?.unreleased;
    },
    get library() {
      return library;
    },
    get libraries() {
      return (libraries.data?.items ?? []).map(({ id, name }) => ({
        value: String(id),
        label: name
      }));
    },
    /** Whether they can go into the machine or not. */
    get listed() {
      return listed;
    },
    /** Those that can. */
    get fitting() {
      return listed.filter(({ toolId }) => !why(toolId));
    },
    /** How many of them cannot. */
    get left() {
      return left;
    },
    /** Why there is nothing; empty where there is, and while it is not known. */
    get nothing() {
      if (!tools.data || listed.length > 0) return '';
      if (tools.data.items.length > 0)
        return 'No tool of these is released; only released tools are planned.';
      return words.current
        ? 'No tool is like that.'
        : 'This library is empty: take a delivery into it first.';
    },
    /** Why a tool can go into no place of the machine; undefined where it can. */
    why,
    /** What has to come before anything is listed. */
    get asked() {
      return library === 0 ? [usual] : [tools];
    }
  };
}
