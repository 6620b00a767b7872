<script lang="ts">
  import type { MachineView, PlaceView } from '$lib/api/client';
  import { settings } from '$lib/shell/settings.svelte';

  let {
    view,
    place,
    planned,
    editable,
    onmeasure,
    onclear
  }: {
    view: MachineView;
    place: string | null;
    planned?: PlaceView;
    editable: boolean;
    onmeasure: (length: string, diameter: string) => Promise<boolean>;
    onclear: () => void;
  } = $props();

  /** What somebody is typing; news from elsewhere must not take it away. */
  let typing = $state<{ length?: string; diameter?: string }>({});
  const limits = $derived(view.machine.limits);
  const length = $derived(typing.length ?? shown(planned?.length));
  const diameter = $derived(typing.diameter ?? shown(planned?.diameter));

  $effect(() => {
    if (place !== undefined) typing = {};
  });

  async function keep() {
    const sent = typing;
    if ((await onmeasure(typed(length), typed(diameter))) && typing === sent) {
      typing = {};
    }
  }

  function shown(mm?: string | null): string {
    if (!mm) return '';
    return settings.unit === 'mm' ? mm : (Number(mm) / 25.4).toFixed(4);
  }

  function typed(text: string): string {
    const plain = /^[\d.,]+$/.test(text.trim());
    return plain && settings.unit === 'in' ? `${text.trim()} in` : text;
  }
</script>

<section aria-label="Pocket" class="text-[13px]">
  {#if planned && place}
    <h2>
      Pocket {place}:
      <a class="code hover:text-working" href="/tools/{planned.toolId}">{planned.code}</a>
    </h2>
    <p class="text-soft">{planned.name}, number {planned.number}</p>
    <form
      class="mt-3 grid grid-cols-[130px_110px_1fr] items-center gap-2"
      onsubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <label for="measured-length">Measured length</label>
      <input
        id="measured-length"
        class="field text-right"
        value={length}
        oninput={(e) => (typing = { ...typing, length: e.currentTarget.value })}
        readonly={!editable}
      />
      <span class="text-soft">{settings.unit}, from the gauge line</span>
      <label for="measured-diameter">Measured diameter</label>
      <input
        id="measured-diameter"
        class="field text-right"
        value={diameter}
        oninput={(e) => (typing = { ...typing, diameter: e.currentTarget.value })}
        readonly={!editable}
      />
      <span class="text-soft">{settings.unit}</span>
      {#if editable}
        <div class="col-span-3 flex gap-2 pt-1">
          <button class="button main">Keep measures</button>
          <button type="button" class="button" onclick={onclear}>Take out of the plan</button>
        </div>
      {/if}
    </form>
  {:else}
    <h2>{place ? `Pocket ${place} is empty` : 'No pocket chosen'}</h2>
    <p class="mt-1 text-soft">
      Pick a tool up with Enter or the mouse, then choose a pocket; or drag it there.
    </p>
  {/if}
  <dl class="mt-4 grid grid-cols-[130px_1fr] gap-y-0.5 border-t border-hairline pt-2 text-soft">
    <dt>Largest diameter</dt>
    <dd>Ø {limits.diameter} mm, Ø {limits.diameterAlone} mm beside empty pockets</dd>
    <dt>Longest, heaviest</dt>
    <dd>{limits.length} mm, {limits.mass} kg</dd>
    <dt>Spindle</dt>
    <dd>
      <span class="code">{view.machine.seat}</span>, {limits.rpm} 1/min, {limits.power} kW
    </dd>
    <dt>Control</dt>
    <dd>
      {view.machine.habits.identityApart ? 'identity apart from pocket' : 'number is pocket'},
      {view.machine.habits.wearApart ? 'wear apart' : 'no wear'},
      {view.machine.habits.diameterShown ? 'shows diameters' : 'shows radii'},
      {view.machine.magazine.random ? 'random pockets' : 'fixed pockets'}
    </dd>
  </dl>
</section>
