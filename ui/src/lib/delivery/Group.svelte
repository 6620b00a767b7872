<script lang="ts">
  import { lookedAt, repairLines } from '$lib/delivery/actions';
  import { type FindingGroup } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, count } from '$lib/shell/text';
  import Lines from './Lines.svelte';

  let {
    delivery,
    files,
    group,
    editable
  }: { delivery: number; files: string[]; group: FindingGroup; editable: boolean } = $props();

  let busy = $state(false);

  async function during(deed: Promise<unknown>) {
    busy = true;
    await deed;
    busy = false;
  }

  const repair = (id: string, title: string) =>
    during(repairLines(delivery, group.code, id, title));
  const look = () => during(lookedAt(delivery, group.code));
</script>

<section class="border-t border-hairline" aria-label="{group.count} lines: {group.example}">
  <header class="flex min-h-10 items-center gap-3 px-5 py-1.5">
    <Mark kind={group.severity.toLowerCase() as 'hold'} />
    <p class="min-w-0 flex-1 truncate" title={group.example}>
      <strong>{count(group.count, 'line')}{group.count > 1 ? ', for example:' : ':'}</strong>
      {group.example}
    </p>
    {#if editable}
      {#each group.repairs as offer (offer.id)}
        <button class="button" disabled={busy} onclick={() => repair(offer.id, offer.title)}>
          {capital(offer.title)}{offer.count < group.count ? ` (${offer.count})` : ''}
        </button>
      {/each}
      {#if group.severity === 'QUERY'}
        <button class="button" disabled={busy} onclick={look}>Looked at, may enter</button>
      {/if}
    {/if}
  </header>
  <Lines
    {files}
    {delivery}
    asked={group}
    properties={group.properties}
    {editable}
    expected={Math.min(group.count, 50)}
  />
</section>
