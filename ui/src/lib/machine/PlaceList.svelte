<script lang="ts">
  import type { MachineView, StorageView } from '$lib/api/client';

  let {
    machine,
    storage,
    chosen = null,
    marks = {},
    alone = false,
    onchoose
  }: {
    machine: MachineView;
    storage: StorageView;
    chosen?: string | null;
    marks?: Record<string, string>;
    /** True where no drawing with the same places stands beside it. */
    alone?: boolean;
    onchoose: (place: string) => void;
  } = $props();

  const planned = $derived(new Map(machine.plan.map((place) => [place.place, place])));
</script>

<ol class="gap-x-6 text-[13px] sm:columns-2" aria-label="What stands in the {storage.word}">
  {#each storage.layout.spots as spot (spot.place)}
    {@const tool = planned.get(spot.place)}
    <li class="break-inside-avoid">
      <button
        class={[
          'flex h-[24px] w-full items-center gap-2 border-b border-hairline text-left hover:bg-faint',
          chosen === spot.place && 'bg-faint'
        ]}
        tabindex={alone ? 0 : -1}
        onclick={() => onchoose(spot.place)}
      >
        <span class={['w-8 shrink-0 text-right', marks[spot.place] && 'font-semibold text-query']}
          >{spot.place}</span
        >
        <span class="w-12 shrink-0 text-[11px] text-soft">{spot.driven ? 'driven' : ''}</span>
        <span class="code truncate">{tool?.code ?? ''}</span>
        <span class="min-w-0 flex-1 truncate text-soft">{tool?.name ?? ''}</span>
      </button>
    </li>
  {/each}
</ol>
