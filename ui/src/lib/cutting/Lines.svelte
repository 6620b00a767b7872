<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { machinesQuery } from '$lib/machine/queries';
  import { type CuttingLine } from '$lib/api/client';
  import { entries } from '$lib/quantity/entries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital, moment } from '$lib/shell/text';

  let {
    lines,
    elsewhere,
    feedTitle,
    machine,
    named,
    may,
    onopen,
    onprove,
    onremove
  }: {
    lines: CuttingLine[];
    /** Proven with other tools of the same geometry. */
    elsewhere: CuttingLine[];
    feedTitle: string;
    /** The machine that is chosen now; the proof begins with it. */
    machine: string;
    named: (material: string) => string;
    may: boolean;
    onopen: (line: CuttingLine) => void;
    /** True where it was noted; what was typed stays to be seen otherwise. */
    onprove: (line: CuttingLine, machine: string) => Promise<boolean>;
    onremove: (line: CuttingLine) => void;
  } = $props();

  const machines = createQuery(machinesQuery);
  let proving = $state<CuttingLine | null>(null);
  let where = $state('');

  function begin(line: CuttingLine) {
    where = machine || (machines.data?.items[0]?.id ?? '');
    proving = { ...line };
  }

  function number(value: number, unit: string): string {
    return value ? units.entry(value, unit) : '';
  }
</script>

<section aria-label="Lines" class="px-5">
  <table class="rows w-full">
    <thead>
      <tr>
        <th>Material</th>
        <th>Purpose</th>
        <th class="number">vc, {units.label('m/min')}</th>
        <th class="number">{feedTitle}, {units.label('mm')}</th>
        <th class="number">ap, {units.label('mm')}</th>
        <th class="number">ae, {units.label('mm')}</th>
        <th>Coolant</th>
        <th>Origin</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.id)}
        <tr
          class="hover:bg-faint"
          onkeydown={(event) => {
            if (event.key === 'p' && !proving) begin(line);
            if (event.key === 'Escape') proving = null;
          }}
        >
          <td>
            <button class="hover:text-working" onclick={() => onopen(line)}>
              {capital(named(line.material))}
              {#if line.grade}<span class="text-soft">{line.grade}</span>{/if}
            </button>
          </td>
          <td>{line.purpose}</td>
          {#if proving?.id === line.id}
            {@const proof = proving}
            <td class="number" colspan="6">
              <form
                class="flex items-center justify-end gap-2"
                onsubmit={async (event) => {
                  event.preventDefault();
                  if (!(await entries.sound())) return;
                  if (await onprove(proof, where)) proving = null;
                }}
              >
                <span class="text-soft">proved on</span>
                <Choice
                  label="Proven on"
                  bind:value={where}
                  options={(machines.data?.items ?? []).map((machine) => ({
                    value: machine.id,
                    label: machine.name
                  }))}
                />
                <NumberField
                  label="Proven speed"
                  unit="m/min"
                  class="h-6! w-20"
                  value={proof.speed}
                  onvalue={(speed) => (proof.speed = speed ?? 0)}
                />
                <NumberField
                  label="Proven feed"
                  unit="mm"
                  class="h-6! w-24"
                  value={proof.feed}
                  onvalue={(feed) => (proof.feed = feed ?? 0)}
                />
                <button class="button main h-6!" {@attach (button) => button.focus()}>
                  Proven
                </button>
              </form>
            </td>
          {:else}
            <td class="number">{number(line.speed, 'm/min')}</td>
            <td class="number">{number(line.feed, 'mm')}</td>
            <td class="number">{number(line.depth, 'mm')}</td>
            <td class="number">{number(line.width, 'mm')}</td>
            <td>{line.coolant}</td>
            <td>
              <span class={line.origin === 'proven' ? 'font-semibold text-working' : ''}>
                {line.origin}
              </span>
              <span class="text-soft">
                {#if line.origin === 'proven'}on {line.machine}, before {number(
                    line.beforeSpeed ?? 0,
                    'm/min'
                  )} / {number(line.beforeFeed ?? 0, 'mm')};{/if}
                {line.by}, {moment(line.at)}
              </span>
            </td>
          {/if}
          <td class="number">
            <button class="button quiet h-6!" title="Key p, then Enter" onclick={() => begin(line)}
              >Proven …</button
            >
            {#if may}
              <button
                class="button quiet h-6!"
                aria-label="Remove the line for {named(line.material)}"
                onclick={() => onremove(line)}>Remove</button
              >
            {/if}
          </td>
        </tr>
      {:else}
        <tr>
          <td colspan="9" class="text-soft"> No line yet: compute one below and keep it. </td>
        </tr>
      {/each}
      {#each elsewhere as line (line.id)}
        <tr class="text-soft">
          <td>
            <button class="hover:text-working" onclick={() => onopen(line)}>
              {capital(named(line.material))}
              {#if line.grade}<span class="text-soft">{line.grade}</span>{/if}
            </button>
          </td>
          <td>{line.purpose}</td>
          <td class="number">{number(line.speed, 'm/min')}</td>
          <td class="number">{number(line.feed, 'mm')}</td>
          <td class="number">{number(line.depth, 'mm')}</td>
          <td class="number">{number(line.width, 'mm')}</td>
          <td>{line.coolant}</td>
          <td colspan="2">proven on {line.machine} with another tool of the same geometry</td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
