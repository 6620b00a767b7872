<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { DefaultKeyView } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { changeDefaults, defaultAtMachine, myDefault } from './actions';
  import { defaultKeysQuery, defaultsQuery } from './queries';
  import { keyWords, sources, unitWords } from './words';

  let { post, machine }: { post: number; machine: string | undefined } = $props();

  type Where = 'post' | 'machine' | 'mine';
  const keys = createQuery(defaultKeysQuery);
  const defaults = createQuery(() => defaultsQuery(post));
  const may = $derived(who.may('EDIT'));
  const effective = $derived(new Map((defaults.data?.items ?? []).map((one) => [one.key, one])));
  let chosen = $state<Where | undefined>();
  const where = $derived<Where>(chosen ?? (may ? 'post' : 'mine'));
  const layer = { post: 'POST', machine: 'MACHINE', mine: 'PERSON' } as const;

  /** What the chosen layer says of a default. */
  function said(key: string): string {
    const one = effective.get(key);
    if (!one) return '';
    const all = [{ value: one.value, source: one.source }, ...one.replaced];
    return all.find(({ source }) => source === layer[where])?.value ?? '';
  }

  function values(): Record<string, string> {
    const values: Record<string, string> = {};
    for (const one of effective.values()) {
      const all = [{ value: one.value, source: one.source }, ...one.replaced];
      const own = all.find(({ source }) => source === 'POST');
      if (own) values[one.key] = own.value;
    }
    return values;
  }

  async function set(key: DefaultKeyView, value: string) {
    if (value === said(key.key)) return;
    if (where === 'mine') {
      await myDefault(post, key.key, value || undefined);
    } else if (where === 'machine' && machine) {
      await defaultAtMachine(post, machine, key.key, value || undefined);
    } else {
      const changed = values();
      if (value) changed[key.key] = value;
      else delete changed[key.key];
      await changeDefaults(post, defaults.data?.version ?? 0, changed);
    }
  }
</script>

<section aria-label="Defaults">
  <header class="flex flex-wrap items-center gap-3">
    <h2>What operations begin with</h2>
    <Choice
      label="Whose defaults are changed"
      bind:value={() => where, (next) => (chosen = next)}
      options={[
        ...(may ? [{ value: 'post' as const, label: 'for all who use the post' }] : []),
        ...(may && machine ? [{ value: 'machine' as const, label: 'at its machine' }] : []),
        { value: 'mine' as const, label: 'for me' }
      ]}
    />
    {#if defaults.data && defaults.data.version > 0}
      <span class="text-soft">version {defaults.data.version}</span>
    {/if}
  </header>
  <NotLoaded query={defaults} />
  {#if defaults.data && keys.data}
    <table class="rows mt-2 w-full max-w-3xl">
      <thead>
        <tr><th>Default</th><th>Said here</th><th>Counts</th><th>Where from</th></tr>
      </thead>
      <tbody>
        {#each keys.data.items as key (key.key)}
          {@const one = effective.get(key.key)}
          <tr>
            <td>{keyWords[key.key] ?? key.key}</td>
            <td class="py-0.5">
              {#if key.words.length > 0}
                <Choice
                  label="{keyWords[key.key]} said here"
                  bind:value={() => said(key.key), (next) => void set(key, next)}
                  options={[
                    { value: '', label: 'not said' },
                    ...key.words.map((word) => ({ value: word, label: word }))
                  ]}
                />
              {:else}
                <input
                  class="field w-28"
                  aria-label="{keyWords[key.key]} said here"
                  value={said(key.key)}
                  onchange={(e) => void set(key, e.currentTarget.value.trim())}
                />
                <span class="text-soft">{unitWords[key.unit]}</span>
              {/if}
            </td>
            <td class={one ? 'font-semibold' : 'text-soft'}>{one?.value ?? 'nothing'}</td>
            <td class="text-soft">
              {one ? sources[one.source] : ''}{#if one && one.replaced.length > 0}, instead of {one
                  .replaced[0].value}
                {sources[one.replaced[0].source]}{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>
