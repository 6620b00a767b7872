<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LibraryChange, LibrarySettings } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import { classesQuery } from '$lib/tool/queries';
  import { processes } from './arrangement';

  let {
    settings,
    submit,
    send
  }: {
    /** As they stand; null for a new library. */
    settings: LibrarySettings | null;
    /** What the button says. */
    submit: string;
    /** Refuses with an error in words. */
    send: (change: LibraryChange) => Promise<void>;
  } = $props();

  type Kind = 'MACHINE' | 'JOB' | 'MATERIAL';
  interface Range {
    of: string;
    first: string;
    last: string;
  }
  const kinds: { kind: Kind; title: string; example: string }[] = [
    { kind: 'MACHINE', title: 'Machines', example: 'Heron, Plover' },
    { kind: 'JOB', title: 'Jobs', example: 'bracket 2041' },
    { kind: 'MATERIAL', title: 'Work materials', example: 'titanium' }
  ];
  /** Processes of tool classes, as ranges name them. */
  const groups = ['milling', 'hole-making', 'threading', 'turning', 'routing', 'probing', 'jet'];

  // svelte-ignore state_referenced_locally (a form keeps what it began with)
  const before = $state.snapshot(settings);
  let name = $state(before?.name ?? '');
  let purpose = $state(before?.purpose ?? '');
  let stated = $state(before?.processes ?? []);
  let follows = $state(before?.follows ?? true);
  const labelled = (kind: Kind) =>
    (before?.labels ?? [])
      .filter((label) => label.kind === kind)
      .map(({ label }) => label)
      .join(', ');
  let labels = $state<Record<Kind, string>>({
    MACHINE: labelled('MACHINE'),
    JOB: labelled('JOB'),
    MATERIAL: labelled('MATERIAL')
  });
  let ranges = $state<Range[]>(
    (before?.ranges ?? []).map(({ of, first, last }) => ({
      of: of ?? '',
      first: String(first),
      last: String(last)
    }))
  );
  let busy = $state(false);
  let wrong = $state('');

  const classes = createQuery(classesQuery);
  const subjects = $derived([
    ...groups.map((group) => ({ value: group, label: `all for ${group.replace('-', ' ')}` })),
    ...(classes.data?.items ?? []).map(({ id, title }) => ({ value: id, label: title }))
  ]);

  function whole(text: string): number {
    return /^\s*\d{1,9}\s*$/.test(text) ? Number(text) : 0;
  }

  /** All that the form says. */
  function said(): LibraryChange {
    return {
      name,
      purpose,
      processes: $state.snapshot(stated),
      follows,
      labels: kinds.flatMap(({ kind }) =>
        labels[kind]
          .split(',')
          .map((label) => label.trim())
          .filter(Boolean)
          .map((label) => ({ kind, label }))
      ),
      ranges: ranges.map(({ of, first, last }) => ({
        of,
        first: whole(first),
        last: whole(last)
      }))
    };
  }

  const begun = said();

  /** What is sent: of a library that is there only what was changed, so that others' changes stay. */
  function change(): LibraryChange {
    const now = said();
    const changed = Object.keys(now).filter(
      (key) =>
        JSON.stringify(now[key as keyof LibraryChange]) !==
        JSON.stringify(begun[key as keyof LibraryChange])
    );
    return before
      ? Object.fromEntries(changed.map((key) => [key, now[key as keyof LibraryChange]]))
      : now;
  }

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await send(change());
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }
</script>

<form class="grid gap-4" {onsubmit}>
  <div class="grid grid-cols-[130px_1fr] items-center gap-x-4 gap-y-3">
    <label for="library-name">Name</label>
    <input id="library-name" class="field" maxlength="100" required bind:value={name} />
    <label for="library-purpose">What it is for</label>
    <input
      id="library-purpose"
      class="field"
      maxlength="500"
      placeholder="in a sentence"
      bind:value={purpose}
    />
    <span>Holds tools for</span>
    <div class="flex flex-wrap gap-x-5 gap-y-1" role="group" aria-label="Holds tools for">
      {#each processes as process (process)}
        <Checkbox
          label={process}
          bind:checked={
            () => stated.includes(process),
            (on) =>
              (stated = on ? [...stated, process] : stated.filter((other) => other !== process))
          }
        />
      {/each}
      <span class="text-soft">{stated.length === 0 ? 'nothing chosen: for everything' : ''}</span>
    </div>
    {#each kinds as { kind, title, example } (kind)}
      <label for="library-{kind}">{title}</label>
      <input
        id="library-{kind}"
        class="field"
        placeholder="{example}; commas between several"
        bind:value={labels[kind]}
      />
    {/each}
    <span>Versions</span>
    <Choice
      label="Versions"
      bind:value={() => (follows ? 'follow' : 'stay'), (next) => (follows = next === 'follow')}
      options={[
        { value: 'follow', label: 'tools that enter follow their newest version' },
        { value: 'stay', label: 'tools that enter stay at the version they have' }
      ]}
    />
    <span class="self-start pt-1">Numbers kept</span>
    <div class="grid gap-2">
      {#each ranges as range, at (range)}
        <div class="flex items-center gap-2">
          <Choice label="For what, range {at + 1}" bind:value={range.of} options={subjects} />
          <input
            class="field w-20 text-right"
            inputmode="numeric"
            aria-label="First number, range {at + 1}"
            bind:value={range.first}
          />
          <span>to</span>
          <input
            class="field w-20 text-right"
            inputmode="numeric"
            aria-label="Last number, range {at + 1}"
            bind:value={range.last}
          />
          <button
            type="button"
            class="button quiet"
            onclick={() => (ranges = ranges.filter((other) => other !== range))}>Remove</button
          >
        </div>
      {/each}
      <div>
        <button
          type="button"
          class="button"
          onclick={() => ranges.push({ of: 'milling', first: '1', last: '99' })}>Add a range</button
        >
      </div>
    </div>
  </div>
  {#if wrong}<p role="alert" class="text-hold">{capital(wrong)}</p>{/if}
  <div class="flex justify-end"><button class="button main" disabled={busy}>{submit}</button></div>
</form>
