<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { letGo, takeUpdate } from '$lib/derived/actions';
  import Differences from '$lib/derived/Differences.svelte';
  import Question from '$lib/derived/Question.svelte';
  import { baseQuery, updateQuery } from '$lib/derived/queries';
  import Step from '$lib/derived/Step.svelte';
  import type { UpdateAnswer, UpdateQuestion } from '$lib/api/client';
  import { libraryQuery } from '$lib/library/queries';
  import { mayMaintain, mayOwn } from '$lib/library/rights';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, count, moment } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const library = createQuery(() => libraryQuery(id));
  const base = createQuery(() => baseQuery(id));
  const from = $derived(base.data?.from);
  const may = $derived(mayMaintain(library.data));

  /** All questions that were seen, with what was answered; answered ones are not asked again. */
  let asked = $state<UpdateQuestion[]>([]);
  let answers = $state<UpdateAnswer[]>([]);
  let left = $state<string[]>([]);
  let busy = $state(false);
  let wrong = $state('');
  const update = createQuery(() => ({
    ...updateQuery(id, answers),
    enabled: from?.newest != null
  }));
  const key = ({ code, field }: { code?: string | null; field?: string | null }) =>
    `${code} ${field}`;
  const questions = $derived([
    ...asked,
    ...(update.data?.questions ?? []).filter(
      (one) => !asked.some((other) => key(other) === key(one))
    )
  ]);
  const open = $derived(
    questions.filter((one) => !answers.some((answer) => key(answer) === key(one))).length
  );
  const steps = $derived(update.data?.steps ?? []);
  const blocked = $derived(
    steps.filter(({ code, obstacles }) => obstacles.length > 0 && !left.includes(code)).length
  );
  const sum = $derived(
    update.data
      ? [
          update.data.added > 0 ? `${count(update.data.added, 'tool')} come in` : '',
          update.data.changed > 0 ? `${count(update.data.changed, 'tool')} change` : '',
          update.data.removed > 0 ? `${count(update.data.removed, 'tool')} go out` : ''
        ]
          .filter(Boolean)
          .join(', ') || 'Nothing changes by itself'
      : ''
  );

  function answer(question: UpdateQuestion, side: 'OURS' | 'THEIRS') {
    if (!asked.some((one) => key(one) === key(question))) asked = [...asked, question];
    answers = [
      ...answers.filter((one) => key(one) !== key(question)),
      { code: question.code, field: question.field, side }
    ];
  }

  async function take() {
    busy = true;
    wrong = '';
    try {
      await takeUpdate(id, { edition: update.data?.to?.id, answers, leave: left });
      asked = [];
      answers = [];
      left = [];
    } catch (error) {
      wrong = capital((error as Error).message);
      void update.refetch();
    }
    busy = false;
  }
</script>

<svelte:head><title>Base · {library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if library.error || base.error}
  <ErrorNote
    error={(library.error ?? base.error)!}
    retry={() => {
      void library.refetch();
      void base.refetch();
    }}
  />
{:else if library.data && base.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/libraries/{id}">{library.data.name}</a></p>
    <div class="flex flex-wrap items-center gap-3">
      <h1>Base</h1>
      {#if from}
        <span class="text-soft">
          derived from
          {#if from.baseId}<a class="text-working underline" href="/libraries/{from.baseId}"
              >{from.base}</a
            >{:else}{from.base || 'a library that you do not see'}{/if}, as in edition {from.edition
            .number}
          of {moment(from.edition.madeAt)}
        </span>
        {#if mayOwn(library.data)}
          <button class="button ml-auto" onclick={() => void letGo(id)}>Detach</button>
        {/if}
      {/if}
    </div>
    {#if !from}
      <p class="mt-4 text-soft">
        This library is not derived from another one. Derive one from an edition in the menu of a
        library, at <a class="text-working underline" href="/libraries">Libraries</a>.
      </p>
    {:else}
      {#if from.deleted}
        <p class="mt-3 text-query">Its base was deleted; the library stays as it is.</p>
      {:else if !from.baseId}
        <p class="mt-3 text-query">You do not see its base. Who does can take newer editions in.</p>
      {/if}
      <div class="mt-4 grid items-start gap-x-10 gap-y-8 xl:grid-cols-2">
        {#if from.newest != null}
          <section aria-label="Newer edition of the base" class="min-w-0">
            <h2>Edition {from.newest} of {from.base}</h2>
            {#if update.data?.to?.words}<p class="mt-1">{update.data.to.words}</p>{/if}
            {#if update.isPending}
              <p class="mt-2 text-soft" role="status">Merging …</p>
            {:else if update.data}
              {#if questions.length > 0}
                <h3 class="mt-3 font-semibold">
                  Changed by both
                  <span class="font-normal text-soft"
                    >{open > 0 ? `${open} to answer` : 'all answered'}; dashed: here, filled: in
                    {from.base}</span
                  >
                </h3>
                {#each questions as question (key(question))}
                  <Question
                    {question}
                    base={from.base}
                    side={answers.find((one) => key(one) === key(question))?.side ?? undefined}
                    onanswer={(side) => answer(question, side)}
                  />
                {/each}
              {/if}
              <h3 class="mt-4 font-semibold">By itself</h3>
              <p class="mb-1 text-soft" role="status">{sum}</p>
              {#each steps as step (step.code)}
                <Step
                  {step}
                  bind:take={
                    () => !left.includes(step.code),
                    (on) =>
                      (left = on ? left.filter((code) => code !== step.code) : [...left, step.code])
                  }
                />
              {/each}
            {/if}
            <NotLoaded query={update} />
          </section>
        {:else if from.baseId}
          <section aria-label="Newer edition of the base">
            <h2>Newer edition</h2>
            <p class="mt-2 text-soft">
              There is none: edition {from.edition.number} is the newest.
            </p>
          </section>
        {/if}
        <Differences library={id} base={from.base} />
      </div>
    {/if}
  </div>
  {#if from?.newest != null && update.data && may}
    <div
      role="group"
      aria-label="Take in"
      class="flex flex-wrap items-center gap-3 border-t border-hairline bg-sheet px-5 py-2.5"
    >
      <span class="min-w-0 flex-1 text-soft">Nothing made here is lost; it can be taken back.</span>
      {#if wrong}<span role="alert" class="text-hold">{wrong}</span>
      {:else if open > 0}<span class="text-query">{count(open, 'question')} to answer</span>
      {:else if blocked > 0}<span class="text-hold"
          >{count(blocked, 'tool')} cannot become so; leave {blocked === 1 ? 'it' : 'them'} as
          {blocked === 1 ? 'it is' : 'they are'}</span
        >{/if}
      <button class="button main" disabled={busy || open > 0 || blocked > 0} onclick={take}
        >{busy ? 'Taking in …' : `Take edition ${from.newest} in`}</button
      >
    </div>
  {/if}
{:else}
  <Loading />
{/if}
