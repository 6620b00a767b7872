<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line, SolidAnswer } from '$lib/api/client';
  import { nameLine } from '$lib/delivery/actions';
  import { classesQuery } from '$lib/tool/queries';
  import { kinds } from './tray';

  let {
    delivery,
    line,
    proposals,
    editable
  }: {
    delivery: number;
    line: Line;
    proposals: SolidAnswer['proposals'];
    editable: boolean;
  } = $props();

  type Proposal = SolidAnswer['proposals'][number];
  const classes = createQuery(classesQuery);

  function word({ kind, classId }: Proposal): string {
    const known = classes.data?.items.find(({ id }) => id === classId)?.title;
    return known ?? kinds.find(({ value }) => value === kind)?.label ?? kind;
  }

  const taken = ({ kind, classId }: Proposal) =>
    kind === line.kind && (!classId || classId === line.classId);

  /** With the sizes that belong to it and are not there yet. */
  function take({ kind, classId, properties }: Proposal) {
    const sizes = Object.entries(properties)
      .filter(([symbol]) => !line.cells[symbol]?.text || line.cells[symbol].implied)
      .map(([symbol, size]) => [symbol, String(size)]);
    void nameLine(delivery, line.id, kind, {
      ...Object.fromEntries(sizes),
      ...(classId ? { CLASS: classId } : {})
    });
  }
</script>

{#if proposals.length > 0}
  <div role="group" aria-label="What its shape may be" class="flex flex-col">
    {#each proposals as proposal (`${proposal.kind} ${proposal.classId ?? ''}`)}
      {@const percent = Math.round(proposal.confidence * 100)}
      <button
        class={[
          'grid grid-cols-[1fr_64px_40px] items-center gap-2 border-l-2 px-2 py-1 text-left',
          taken(proposal) ? 'border-working bg-faint' : 'border-transparent',
          editable && 'hover:bg-faint'
        ]}
        aria-pressed={taken(proposal)}
        disabled={!editable}
        onclick={() => take(proposal)}
      >
        <span class="truncate">{word(proposal)}</span>
        <span class="h-1.5 bg-hairline" aria-hidden="true">
          <span class="block h-full bg-working" style:width="{percent}%"></span>
        </span>
        <span class="text-right text-[13px] text-soft">{percent} %</span>
      </button>
    {/each}
  </div>
{/if}
