<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { MachineView, MeasureView, PlaceView } from '$lib/api/client';
  import { entries } from '$lib/quantity/entries';
  import Mark from '$lib/marks/Mark.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import { capital } from '$lib/shell/text';
  import Overlap from './Overlap.svelte';
  import PlannedNumber from './PlannedNumber.svelte';
  import type { Measures } from './measures';
  import { numberingWords } from './words';

  let {
    view,
    place,
    planned,
    editable,
    onmeasure,
    onkeep,
    onclear,
    children
  }: {
    view: MachineView;
    place: string | null;
    planned?: PlaceView;
    editable: boolean;
    onmeasure: (measures: Measures) => Promise<boolean>;
    /** Keeps the place for its tool, or for none. */
    onkeep: (kept: boolean) => void;
    onclear: () => void;
    /** What else is said of a planned tool. */
    children?: Snippet;
  } = $props();

  /** What was given anew, as exact mm; news from elsewhere must not take it away. */
  let given = $state<Measures>({});
  const storage = $derived(
    view.storages.find(({ places }) => place && places.includes(place)) ?? view.storages[0]
  );
  const definition = $derived(view.machine.storages.find(({ id }) => id === storage?.id));
  const limits = $derived(definition?.limits);
  const spindle = $derived(
    view.machine.spindles.find(({ carries }) => carries === 'TOOL') ?? view.machine.spindles[0]
  );
  const keptFor = $derived(place !== null && (view.ownPlaces ?? []).includes(place));
  const word = $derived(storage?.placeWord ?? view.placeWord);
  const pocket = $derived(place);
  $effect(() => {
    void pocket;
    given = {};
  });

  async function keep() {
    if (!(await entries.sound())) return;
    const sent = given;
    if ((await onmeasure(sent)) && given === sent) given = {};
  }

  function shown(measure: MeasureView): number | null {
    const text = given[measure.field] ?? measure.value;
    return text ? Number(text) : null;
  }
</script>

<section aria-label={capital(word)} class="text-[13px]">
  {#if planned && place}
    <h2>
      {capital(word)}
      {place}:
      {#if planned.seen}
        <a class="code hover:text-working" href="/tools/{planned.toolId}">{planned.code}</a>
      {:else}
        <span class="code">{planned.code}</span>
      {/if}
    </h2>
    <p class="text-soft">{planned.name}</p>
    {#key `${place} ${planned.toolId}`}<PlannedNumber {view} {planned} {editable} />{/key}
    {#if !planned.seen}
      <p class="text-soft">Its sheet is in a private library.</p>
    {:else if planned.library}
      <p class="text-soft">
        As <a class="hover:text-working" href="/libraries/{planned.libraryId}">{planned.library}</a>
        has it{#if planned.versionNo !== planned.newestNo}:
          <span class="text-ink">version {planned.versionNo}</span>, the newest is {planned.newestNo}{/if}
      </p>
    {/if}
    {#if planned.jobs.length > 0}
      <p class="text-soft">
        Called by
        {#each planned.jobs as { job, name, number }, index (index)}{index > 0 ? ', ' : ''}<a
            class="text-ink underline hover:text-working"
            href="/jobs/{job}">{name}</a
          >
          as T{number}{/each}
      </p>
    {/if}
    <form
      class="mt-3 grid grid-cols-[130px_110px_1fr] items-center gap-2"
      onsubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      {#key place}
        {#each planned.measures as measure (measure.field)}
          <label for="measured-{measure.field}">Measured {measure.title}</label>
          <NumberField
            id="measured-{measure.field}"
            label="Measured {measure.title}"
            unit="mm"
            class="w-full"
            optional
            positive={!measure.signed}
            readonly={!editable}
            value={shown(measure)}
            onvalue={(_, exact) => (given = { ...given, [measure.field]: exact })}
          />
          <span class="text-soft">
            {units.label('mm')}{#if measure.field === 'length'}, from the gauge line{/if}{#if measure.note},
              {measure.note}{/if}{#if measure.expected}, expected {units.entry(
                Number(measure.expected),
                'mm'
              )}{/if}
            {#if editable && (measure.field === 'diameter' || measure.field === 'noseRadius') && shown(measure) === null && measure.expected}
              <button
                type="button"
                class="button quiet"
                onclick={() => (given = { ...given, [measure.field]: measure.expected! })}
              >
                Use it
              </button>
            {/if}
          </span>
        {/each}
      {/key}
      {#each planned.questions as question, index (index)}
        <p class="col-span-3 text-query"><Mark kind="query" word="" /> {capital(question)}</p>
      {/each}
      {#if editable}
        <div class="col-span-3 flex gap-2 pt-1">
          <button class="button main">Save measures</button>
          <button type="button" class="button" onclick={onclear}>Remove from the plan</button>
        </div>
      {/if}
    </form>
  {:else}
    <h2>{place ? `${capital(word)} ${place} is empty` : `No ${word} chosen`}</h2>
    <p class="mt-1 text-soft">
      {editable
        ? `Pick a tool up with Enter or the mouse, then choose a ${word}; or drag it there.`
        : `Choose a ${word} to see what is planned for it.`}
    </p>
  {/if}
  {#if place && editable && (planned || keptFor)}
    <div class="mt-3">
      <Checkbox
        label="This {word} is kept for it"
        bind:checked={() => keptFor, (kept) => onkeep(kept)}
      />
    </div>
  {:else if keptFor}
    <p class="mt-2 text-soft">This {word} is kept for one tool.</p>
  {/if}
  {#if planned && place && storage && storage.places.length > 1}
    {#key `${place} ${planned.toolId}`}<Overlap {view} {planned} {word} {editable} />{/key}
  {/if}
  {#if planned}{@render children?.()}{/if}
  <dl class="mt-4 grid grid-cols-[130px_1fr] gap-y-0.5 border-t border-hairline pt-2 text-soft">
    {#if planned?.assembly}
      <dt>In its holder</dt>
      <dd>
        {planned.assembly.length} mm long, Ø {planned.assembly.diameter} mm, {planned.assembly.mass} kg
      </dd>
    {/if}
    {#if limits}
      <dt>Largest diameter</dt>
      <dd>
        {limits.diameterFull ? `Ø ${limits.diameterFull} mm, ` : ''}{limits.diameterEmpty
          ? `Ø ${limits.diameterEmpty} mm beside empty ${word}s`
          : 'no limit'}
      </dd>
      <dt>Longest, heaviest</dt>
      <dd>
        {limits.length ? `${limits.length} mm` : 'no limit'}, {limits.mass
          ? `${limits.mass} kg`
          : 'no limit'}{limits.massSum ? `, ${limits.massSum} kg together` : ''}
      </dd>
    {/if}
    <dt>Seat</dt>
    <dd><span title={storage?.seat}>{storage?.seatName}</span></dd>
    {#if spindle}
      <dt>Spindle</dt>
      <dd>{spindle.name}, {spindle.rpm} 1/min, {spindle.power} kW</dd>
    {/if}
    <dt>Control</dt>
    <dd>
      {numberingWords[view.machine.numbering.scheme]},
      {view.machine.habits.wearApart ? 'wear apart' : 'no wear'},
      {view.machine.habits.diameterShown ? 'shows diameters' : 'shows radii'},
      {definition?.random ? `random ${word}s` : `fixed ${word}s`}
    </dd>
  </dl>
</section>
