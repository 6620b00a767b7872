<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { watch } from 'runed';
  import { answerProposal, answerSeen, withdraw } from '$lib/proposal/actions';
  import CollectedBar from '$lib/proposal/CollectedBar.svelte';
  import ProposedChange from '$lib/proposal/ProposedChange.svelte';
  import { proposalQuery } from '$lib/proposal/queries';
  import { became } from '$lib/proposal/words';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { capital, count, moment } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const proposal = createQuery(() => proposalQuery(id));
  const head = $derived(proposal.data?.proposal);
  const changes = $derived(proposal.data?.changes ?? []);
  const asked = $derived(head?.state === 'OPEN' && head.toMe);

  /** Places that whoever answers leaves out; all the others are taken. */
  let left = $state<number[]>([]);
  let keeps = $state<Record<number, 'MINE' | 'THEIRS' | undefined>>({});
  let words = $state('');
  let wrong = $state('');
  let busy = $state(false);
  const taken = $derived(changes.filter(({ place }) => !left.includes(place)));
  const open = $derived(
    taken.filter(({ place, outcome }) => outcome && outcome.conflicts.length > 0 && !keeps[place])
  );

  watch(
    () => head,
    (now) => {
      if (now?.mine && now.state === 'ANSWERED' && !now.seen) void answerSeen(now.id);
    }
  );

  async function answer(none: boolean) {
    busy = true;
    wrong = '';
    try {
      await answerProposal(
        id,
        none
          ? []
          : taken.map(({ place, outcome }) => ({
              place,
              keep: keeps[place],
              seen: outcome?.version
            })),
        words
      );
    } catch (error) {
      wrong = capital((error as Error).message);
      void proposal.refetch();
    }
    busy = false;
  }
</script>

<svelte:head><title>Proposal · Arbor Line</title></svelte:head>

{#if proposal.error}
  <ErrorNote error={proposal.error} retry={() => void proposal.refetch()} />
{:else if head}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/proposals">Proposals</a></p>
    <h1 class="max-w-4xl">
      {head.state === 'COLLECTED' ? `Changes of ${head.library}` : head.reason}
    </h1>
    <p class="mt-1 text-soft">
      {head.state === 'COLLECTED' ? 'to' : `${head.madeBy} to`}
      <a class="hover:text-working" href="/libraries/{head.libraryId}">{head.library}</a>, {moment(
        head.madeAt
      )}; {became(head)}
    </p>
    {#if head.words}<p class="mt-2 max-w-4xl">"{head.words}"</p>{/if}
    <div class="mt-2 max-w-5xl">
      {#each changes as change (change.place)}
        <ProposedChange
          {change}
          {asked}
          collected={head.state === 'COLLECTED' ? { id, library: head.libraryId } : null}
          bind:take={
            () => !left.includes(change.place),
            (on) =>
              (left = on ? left.filter((place) => place !== change.place) : [...left, change.place])
          }
          bind:keep={() => keeps[change.place], (next) => (keeps[change.place] = next)}
        />
      {/each}
    </div>
    {#if head.mine && head.state === 'OPEN'}
      <button class="button mt-4" onclick={() => void withdraw(id)}>Withdraw</button>
    {/if}
  </div>
  {#if head.state === 'COLLECTED'}
    <CollectedBar {id} changes={changes.length} />
  {/if}
  {#if asked}
    <div
      role="group"
      aria-label="Answer"
      class="flex flex-wrap items-center gap-3 border-t border-hairline bg-sheet px-5 py-2.5"
    >
      <input
        class="field min-w-64 flex-1"
        aria-label="Words for {head.madeBy}"
        placeholder="words for {head.madeBy}"
        maxlength="2000"
        bind:value={words}
      />
      {#if wrong}<span role="alert" class="text-hold">{wrong}</span>{/if}
      {#if open.length > 0}
        <span class="text-query"
          >say whose values stand in {open.map(({ code }) => code).join(', ')}</span
        >
      {/if}
      <button class="button" disabled={busy} onclick={() => void answer(true)}>Decline all</button>
      <button
        class="button main"
        disabled={busy || taken.length === 0 || open.length > 0}
        onclick={() => void answer(false)}
        >{taken.length === changes.length
          ? 'Take all'
          : `Take ${taken.length} of ${count(changes.length, 'change')}`}</button
      >
    </div>
  {/if}
{:else}
  <Loading />
{/if}
