<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { historyQuery } from './queries';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { capital, moment } from '$lib/shell/text';

  let {
    machine,
    word,
    open = $bindable()
  }: {
    machine: string;
    /** What places of the machine are called. */
    word: string;
    open: boolean;
  } = $props();

  const history = createQuery(() => ({ ...historyQuery(machine), enabled: open }));
</script>

<DialogFrame
  bind:open
  wide
  title="What changed at the control"
  hint="Seen by reading it every while. Between two times it was changed at the machine, unless somebody wrote it from here."
>
  {#if history.error}
    <ErrorNote error={history.error} retry={() => void history.refetch()} />
  {:else if history.data}
    {#if history.data.items.length === 0}
      <p class="text-soft">Nothing changed since it was read first.</p>
    {:else}
      <div class="max-h-[60vh] overflow-auto">
        <table class="w-full text-[13px]">
          <thead>
            <tr class="text-left text-soft">
              <th class="py-1 pr-4 font-normal">{capital(word)}</th>
              <th class="py-1 pr-4 font-normal">Field</th>
              <th class="py-1 pr-4 font-normal">Was</th>
              <th class="py-1 pr-4 font-normal">Became</th>
              <th class="py-1 pr-4 font-normal">Between</th>
              <th class="py-1 font-normal">By</th>
            </tr>
          </thead>
          <tbody>
            {#each history.data.items as change (change.id)}
              <tr class="border-t border-hairline align-top">
                <td class="py-1 pr-4 font-semibold"
                  >{change.place === 'SPINDLE' ? 'spindle' : change.place}</td
                >
                <td class="py-1 pr-4">{change.title}</td>
                <td class="code py-1 pr-4 text-soft">{change.was ?? '–'}</td>
                <td class="code py-1 pr-4">{change.became ?? '–'}</td>
                <td class="py-1 pr-4 text-soft"
                  >{moment(change.unchangedAt)} and {moment(change.seenAt)}</td
                >
                <td class="py-1">{change.by ?? 'at the machine'}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    {/if}
  {:else}
    <Loading />
  {/if}
</DialogFrame>
