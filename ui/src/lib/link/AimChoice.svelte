<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LinkKind } from '$lib/api/client';
  import { editionsQuery } from '$lib/edition/queries';
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
  const editions = createQuery(() => ({
    ...editionsQuery(Number(chosen)),
    enabled: kind === 'LIBRARY' && chosen !== NONE && aims.includes('EDITION')
  }));
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
  {#if (editions.data?.items.length ?? 0) > 0}
    <Choice
      label="Edition"
      bind:value={edition}
      options={[
        { value: NONE, label: 'no edition in particular' },
        ...(editions.data?.items ?? []).map(({ id, number }) => ({
          value: String(id),
          label: `edition ${number}`
        }))
      ]}
    />
  {/if}
  <button class="button main" disabled={busy || chosen === NONE} onclick={set}>Set anew</button>
{:else}
  <span class="text-soft">They cannot be set together.</span>
{/if}
