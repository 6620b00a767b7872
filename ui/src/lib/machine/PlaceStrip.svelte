<script lang="ts">
  import type { MachineView } from '$lib/api/client';
  import { capital } from '$lib/shell/text';

  let {
    view,
    marks,
    onchoose
  }: {
    view: MachineView;
    /** Places that are out of step. */
    marks: Record<string, string>;
    onchoose: (place: string) => void;
  } = $props();

  const planned = $derived(new Map(view.plan.map((place) => [place.place, place])));

  function label(word: string, place: string): string {
    const tool = planned.get(place);
    return `${capital(word)} ${place}: ${tool ? `${tool.code}, ${tool.name}` : 'empty'}${
      marks[place] ? `; ${marks[place]}` : ''
    }`;
  }
</script>

<div class="flex flex-col gap-1">
  {#each view.storages as storage (storage.id)}
    <div
      class="flex flex-wrap gap-px"
      role="group"
      aria-label="{storage.word} of {view.machine.name}"
    >
      {#each storage.places as place (place)}
        <button
          class={[
            'h-[20px] min-w-[22px] rounded-[2px] border px-0.5 text-center text-[11px] leading-4',
            planned.has(place) ? 'border-working bg-faint' : 'border-hairline text-soft',
            marks[place] && 'marked'
          ]}
          aria-label={label(storage.placeWord, place)}
          title={label(storage.placeWord, place)}
          onclick={() => onchoose(place)}>{place}</button
        >
      {/each}
    </div>
  {/each}
</div>

<style>
  .marked {
    border-color: var(--query);
    color: var(--query);
    font-weight: 600;
    box-shadow: inset 0 -3px 0 var(--query);
  }
</style>
