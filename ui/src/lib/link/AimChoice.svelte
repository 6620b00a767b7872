<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LinkKind } from '$lib/api/client';
  import EditionChoice from '$lib/edition/EditionChoice.svelte';
  import { librariesQuery } from '$lib/library/queries';
  import { machinesQuery } from '$lib/machine/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { componentsQuery } from '$lib/stack/queries';

  let {
    aims,
    busy,
    onset
  }: {
    /** Kinds of what can be chosen. */
    aims: LinkKind[];
    busy: boolean;
    onset: (kind: LinkKind, id: string) => void;
  } = $props();

  const NONE = '';
  const kind = $derived<LinkKind | undefined>(
    aims.find((one) => one === 'LIBRARY' || one === 'MACHINE' || one === 'HOLDER')
  );
  let chosen = $state(NONE);
  let edition = $state(NONE);
  const libraries = createQuery(() => ({ ...librariesQuery(), enabled: kind === 'LIBRARY' }));
  const machines = createQuery(() => ({ ...machinesQuery(), enabled: kind === 'MACHINE' }));
  const parts = createQuery(() => ({ ...componentsQuery(), enabled: kind === 'HOLDER' }));
  const options = $derived.by(() => {
    if (kind === 'LIBRARY') {
      return (libraries.data?.items ?? [])
        .filter(({ right }) => right)
        .map(({ id, name }) => ({ value: String(id), label: name }));
    }
    if (kind === 'MACHINE') {
      return (machines.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }));
    }
    return (parts.data?.items ?? [])
      .filter(({ retired }) => !retired)
      .map(({ id, component }) => ({
        value: String(id),
        label: `${component.code}  ${component.name}`
      }));
  });
  $effect(() => {
    void kind;
    chosen = NONE;
    edition = NONE;
  });

  function set() {
    if (!kind || chosen === NONE) return;
    if (edition === NONE) onset(kind, chosen);
    else onset('EDITION', edition);
  }
</script>

{#if kind}
  <Choice
    label="Set to"
    bind:value={
      () => chosen,
      (next) => {
        chosen = next;
        edition = NONE;
      }
    }
    options={[{ value: NONE, label: 'to what' }, ...options]}
  />
  <EditionChoice
    library={kind === 'LIBRARY' && aims.includes('EDITION') ? chosen : NONE}
    bind:edition
  />
  <button class="button main" disabled={busy || chosen === NONE} onclick={set}>Set anew</button>
{:else}
  <span class="text-soft">They cannot be set together.</span>
{/if}
