<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { profileQuery } from '$lib/tool/queries';
  import type { components } from '$lib/api/schema';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';

  type Corner = components['schemas']['Corner'];

  let {
    text,
    readonly = false,
    onchange
  }: { text: string; readonly?: boolean; onchange: (text: string) => void } = $props();

  const read = createQuery(() => profileQuery(text));
  /** What was changed here last: it stands before the server has read the text that came of it. */
  let written = $state<{ text: string; rows: Corner[] } | null>(null);
  const points = $derived(written?.text === text ? written.rows : (read.data?.points ?? []));
  const titles = { z: 'Along', r: 'Radius', bend: 'Arc' } as const;

  function write(rows: Corner[]) {
    const next = rows
      .map((row) => `${row.z} ${row.r}${row.bend ? ` R${row.bend}` : ''}`)
      .join('; ');
    written = { text: next, rows };
    onchange(next);
  }

  function set(row: number, change: Partial<Corner>) {
    write(points.map((point, index) => (index === row ? { ...point, ...change } : point)));
  }

  function add(row: number) {
    const { z, r } = points[row] ?? { z: -1, r: 0 };
    write([...points.slice(0, row + 1), { z: z + 1, r, bend: 0 }, ...points.slice(row + 1)]);
  }
</script>

<section aria-label="Lines and arcs" class="pb-2">
  <table class="rows">
    <thead>
      <tr>
        <th class="number">Point</th>
        <th class="number">Along from the tip, {units.label('mm')}</th>
        <th class="number">Radius, {units.label('mm')}</th>
        <th class="number">Arc to it, {units.label('mm')}</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each points as point, row (row)}
        <tr>
          <td class="number text-soft">{row + 1}</td>
          {#each ['z', 'r', 'bend'] as const as field (field)}
            <td class="number">
              {#if field !== 'bend' || row > 0}
                <NumberField
                  label="{titles[field]} of point {row + 1}"
                  unit="mm"
                  class="h-6! w-24"
                  optional={field === 'bend'}
                  {readonly}
                  value={field === 'bend' && !point.bend ? null : point[field]}
                  onvalue={(value) => set(row, { [field]: value ?? 0 })}
                />
              {/if}
            </td>
          {/each}
          <td>
            {#if !readonly}
              <button
                class="button quiet h-6!"
                aria-label="Add a point behind point {row + 1}"
                onclick={() => add(row)}>Add behind</button
              >
              <button
                class="button quiet h-6!"
                aria-label="Remove point {row + 1}"
                onclick={() => write(points.filter((_, index) => index !== row))}>Remove</button
              >
            {/if}
          </td>
        </tr>
      {:else}
        <tr>
          <td colspan="5">
            {#if !readonly}
              <button
                class="button quiet h-6!"
                onclick={() =>
                  write([
                    { z: 0, r: 0, bend: 0 },
                    { z: 0, r: 5, bend: 0 },
                    { z: 10, r: 5, bend: 0 }
                  ])}>Begin with a cylinder</button
              >
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="px-2.5 pt-1 text-[13px] text-soft">
    Positive arcs bulge outwards, negative ones are hollow; an empty field is a straight line.
  </p>
</section>
