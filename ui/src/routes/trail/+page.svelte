<script lang="ts">
  import { page } from '$app/state';
  import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import { librariesQuery } from '$lib/library/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { since, times, type Span } from '$lib/trail/times';
  import { peopleQuery, trailQuery } from '$lib/trail/queries';
  import { undo } from '$lib/trail/actions';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const asked = page.url.searchParams;
  let person = $state('');
  let kind = $state(asked.get('kind') ?? '');
  /** One thing of its kind whose history is looked at; empty for all. */
  let subject = $state(asked.get('subject') ?? '');
  let library = $state(asked.get('library') ?? '');
  let span = $state<Span>('ever');
  let text = $state('');
  const words = new Debounced(() => text.trim(), 150);
  const wanted = $derived({
    who: person || undefined,
    kind: kind || undefined,
    subject: subject || undefined,
    library: library ? Number(library) : undefined,
    text: words.current || undefined,
    from: since(span)
  });
  const narrowed = $derived(Object.values(wanted).some((one) => one !== undefined));
  const trail = createInfiniteQuery(() => trailQuery(wanted));
  const people = createQuery(peopleQuery);
  const libraries = createQuery(librariesQuery);
  const kinds = [
    { value: '', label: 'everything' },
    { value: 'tool', label: 'tools' },
    { value: 'library', label: 'libraries' },
    { value: 'component', label: 'holders and parts' },
    { value: 'delivery', label: 'deliveries' },
    { value: 'machine', label: 'machines' },
    { value: 'material', label: 'materials' },
    { value: 'account', label: 'accounts' }
  ];

  function clear() {
    person = kind = subject = library = text = '';
    span = 'ever';
  }
  const lines = $derived((trail.data?.pages ?? []).flatMap((page) => page.items));
  const may = $derived(who.may('EDIT') || who.may('LOAD') || who.may('HANDLE') || who.may('PROVE'));
  const addresses: Record<string, string> = {
    tool: '/tools/',
    library: '/libraries/',
    delivery: '/receiving/',
    machine: '/machines/',
    component: '/holders/'
  };
</script>

<svelte:head><title>Trail · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>{subject ? 'History' : 'Trail'}</h1>
  <div class="mt-2 flex flex-wrap items-center gap-2">
    <input
      class="field w-64"
      type="search"
      data-search
      aria-label="Search the trail"
      placeholder="words"
      bind:value={text}
    />
    <Choice
      label="Who"
      bind:value={person}
      options={[
        { value: '', label: 'everybody' },
        ...(people.data?.items ?? []).map((one) => ({ value: one, label: one }))
      ]}
    />
    <Choice
      label="What"
      bind:value={
        () => kind,
        (next) => {
          kind = next;
          subject = '';
        }
      }
      options={kinds}
    />
    <Choice
      label="In which library"
      bind:value={library}
      options={[
        { value: '', label: 'in all libraries' },
        ...(libraries.data?.items ?? []).map((one) => ({ value: String(one.id), label: one.name }))
      ]}
    />
    <Choice label="Since when" bind:value={span} options={times} />
    {#if narrowed}<button class="button quiet" onclick={clear}>Show all</button>{/if}
  </div>
  {#if trail.error}
    <ErrorNote error={trail.error} retry={() => void trail.refetch()} />
  {:else if trail.data}
    <table class="rows mt-3 w-full">
      <thead>
        <tr>
          <th class="w-36">When</th>
          <th class="w-36">Who</th>
          <th>What</th>
          <th class="w-32"><span class="sr-only">Undo</span></th>
        </tr>
      </thead>
      <tbody>
        {#each lines as line (line.id)}
          <tr class="hover:bg-faint">
            <td class="text-soft">{moment(line.at)}</td>
            <td>{line.who}</td>
            <td class="max-w-0 truncate" title={line.text}>
              {#if addresses[line.subjectKind]}
                <a
                  class={['hover:text-working', line.undo === 'done' && 'line-through']}
                  href="{addresses[line.subjectKind]}{line.subjectId}">{capital(line.text)}</a
                >
              {:else}
                <span class={line.undo === 'done' ? 'line-through' : ''}>{capital(line.text)}</span>
              {/if}
            </td>
            <td>
              {#if line.undo === 'possible' && may}
                <button class="button quiet" onclick={() => undo(line.id)}>Undo</button>
              {:else if line.undo === 'done'}
                <span class="px-1.5 text-soft">taken back</span>
              {:else if line.undo === 'none'}
                <span class="px-1.5 text-soft">stays</span>
              {/if}
            </td>
          </tr>
        {:else}
          <tr>
            <td colspan="4" class="text-soft"
              >{narrowed ? 'Nothing like that was done.' : 'Nothing was changed yet.'}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if trail.hasNextPage}
      <button class="button quiet mt-2" onclick={() => void trail.fetchNextPage()}>
        Show older
      </button>
    {/if}
  {:else}
    <Loading />
  {/if}
</div>
