<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import { allowLines, lookedAt, repairLines, settleLines } from '$lib/delivery/actions';
  import { type FindingGroup, type Line } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, count } from '$lib/shell/text';
  import Lines from './Lines.svelte';

  let {
    delivery,
    files,
    group,
    editable,
    onbeside
  }: {
    delivery: number;
    files: string[];
    group: FindingGroup;
    editable: boolean;
    onbeside: (line: Line) => void;
  } = $props();

  let reasoning = $state(false);
  let reason = $state('');

  let busy = $state(false);

  async function during<T>(deed: Promise<T>): Promise<T> {
    busy = true;
    const done = await deed;
    busy = false;
    return done;
  }

  /** More than two repairs would push the sentence away: all but the first go into a menu. */
  const beside = $derived(group.repairs.length > 2 ? group.repairs.slice(0, 1) : group.repairs);
  const listed = $derived(group.repairs.slice(beside.length));

  const named = ({ title, count }: { title: string; count: number }) =>
    capital(title) + (count < group.count ? ` (${count})` : '');

  const repair = (id: string, title: string) => during(repairLines(delivery, group, id, title));
  const look = () => during(lookedAt(delivery, group));
  const settle = (answer: 'keep' | 'replace') => during(settleLines(delivery, answer));

  async function allow() {
    if (!(await during(allowLines(delivery, group, reason.trim())))) return;
    reasoning = false;
    reason = '';
  }
</script>

<section class="border-t border-hairline" aria-label="{group.count} lines: {group.example}">
  <header class="flex min-h-10 items-center gap-3 px-5 py-1.5">
    <Mark kind={group.severity.toLowerCase() as 'hold'} />
    <p class="min-w-0 flex-1 truncate" title={group.example}>
      <strong>{count(group.count, 'line')}{group.ofAll ? ':' : ', for example:'}</strong>
      {group.example}
    </p>
    {#if editable}
      {#each beside as offer (offer.id)}
        <button
          class="button shrink-0"
          disabled={busy}
          onclick={() => repair(offer.id, offer.title)}
        >
          {named(offer)}
        </button>
      {/each}
      {#if listed.length > 0}
        <DropdownMenu.Root>
          <DropdownMenu.Trigger class="button shrink-0" disabled={busy}>
            Only one of them ▾
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content class="floating z-50 p-1" align="end" sideOffset={4}>
              {#each listed as offer (offer.id)}
                <DropdownMenu.Item
                  class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
                  onSelect={() => repair(offer.id, offer.title)}
                >
                  {named(offer)}
                </DropdownMenu.Item>
              {/each}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      {/if}
      {#if group.code === 'code-taken' && group.severity === 'HOLD'}
        <button class="button shrink-0" disabled={busy} onclick={() => settle('keep')}
          >Keep the shop's</button
        >
        <button class="button shrink-0" disabled={busy} onclick={() => settle('replace')}
          >Take these values</button
        >
      {/if}
      {#if group.code === 'vendor-conflict'}
        <a class="button shrink-0" href="/receiving/{delivery}/package?finding={group.code}"
          >Decide value by value</a
        >
      {/if}
      {#if group.allowable}
        {#if reasoning}
          <input
            class="field w-56"
            aria-label="Reason"
            placeholder="reason, kept on the trail"
            maxlength="250"
            bind:value={reason}
          />
          <button class="button shrink-0" disabled={busy || !reason.trim()} onclick={allow}
            >Let in</button
          >
        {:else}
          <button class="button shrink-0" disabled={busy} onclick={() => (reasoning = true)}
            >Let in with a reason</button
          >
        {/if}
      {/if}
      {#if group.severity === 'QUERY'}
        <button class="button shrink-0" disabled={busy} onclick={look}>Looked at, may enter</button>
      {/if}
    {/if}
  </header>
  <Lines
    {files}
    {delivery}
    asked={group}
    properties={group.properties}
    {editable}
    {onbeside}
    expected={Math.min(group.count, 50)}
  />
</section>
