<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { api, ask, type FindingGroup } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { done, failed } from '$lib/shell/say';
  import { capital, count } from '$lib/shell/text';
  import Lines from './Lines.svelte';

  let {
    delivery,
    files,
    group,
    editable
  }: { delivery: number; files: string[]; group: FindingGroup; editable: boolean } = $props();

  const client = useQueryClient();
  let busy = $state(false);

  async function work(action: () => Promise<{ lines: number; undo: number }>, said: string) {
    busy = true;
    try {
      const changed = await action();
      done(`${said}: ${count(changed.lines, 'line')}`, changed.undo);
      await client.invalidateQueries({ queryKey: ['delivery', delivery] });
    } catch (error) {
      failed(error);
    } finally {
      busy = false;
    }
  }

  const path = $derived({ params: { path: { id: delivery } } });
  const repair = (id: string, title: string) =>
    work(
      () =>
        ask(
          api.POST('/api/v1/deliveries/{id}/repair', {
            ...path,
            body: { finding: group.code, repair: id }
          })
        ),
      capital(title)
    );
  const look = () =>
    work(
      () =>
        ask(api.POST('/api/v1/deliveries/{id}/look', { ...path, body: { finding: group.code } })),
      'Looked at'
    );
</script>

<section class="border-t border-hairline" aria-label="{group.count} lines: {group.example}">
  <header class="flex min-h-10 items-center gap-3 px-5 py-1.5">
    <Mark kind={group.severity.toLowerCase() as 'hold'} />
    <p class="min-w-0 flex-1 truncate" title={group.example}>
      <strong>{count(group.count, 'line')}:</strong>
      {group.count > 1 ? 'such as ' : ''}{group.example}
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
  <Lines {files} {delivery} finding={group.code} properties={group.properties} {editable} />
</section>
