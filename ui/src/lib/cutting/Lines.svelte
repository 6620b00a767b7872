<script lang="ts">
  import type { CuttingLine } from '$lib/api/client';
  import { capital, moment } from '$lib/shell/text';

  let {
    lines,
    elsewhere,
    drills,
    named,
    may,
    onopen,
    onprove,
    onremove
  }: {
    lines: CuttingLine[];
    /** Proven with other tools of the same geometry. */
    elsewhere: CuttingLine[];
    drills: boolean;
    named: (material: string) => string;
    may: boolean;
    onopen: (line: CuttingLine) => void;
    onprove: (line: CuttingLine) => void;
    onremove: (line: CuttingLine) => void;
  } = $props();

  let proving = $state<CuttingLine | null>(null);
</script>

<section aria-label="Lines" class="px-5">
  <table class="rows w-full">
    <thead>
      <tr>
        <th>Material</th>
        <th>Purpose</th>
        <th class="number">vc, m/min</th>
        <th class="number">{drills ? 'fn' : 'fz'}, mm</th>
        <th class="number">ap, mm</th>
        <th class="number">ae, mm</th>
        <th>Origin</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each lines as line (line.id)}
        <tr
          class="hover:bg-faint"
          onkeydown={(event) => {
            if (event.key === 'p') proving = line;
            if (event.key === 'Escape') proving = null;
          }}
        >
          <td>
            <button class="hover:text-working" onclick={() => onopen(line)}>
              {capital(named(line.material))}
            </button>
          </td>
          <td>{line.purpose}</td>
          {#if proving?.id === line.id}
            {@const proof = proving}
            <td class="number" colspan="5">
              <form
                class="flex items-center justify-end gap-2"
                onsubmit={(event) => {
                  event.preventDefault();
                  onprove(proof);
                  proving = null;
                }}
              >
                <span class="text-soft">proved</span>
                <input
                  class="field h-6! w-20 text-right"
                  type="number"
                  step="any"
                  aria-label="Proven speed"
                  bind:value={proof.speed}
                />
                <input
                  class="field h-6! w-24 text-right"
                  type="number"
                  step="any"
                  aria-label="Proven feed"
                  bind:value={proof.feed}
                />
                <button class="button main h-6!" {@attach (button) => button.focus()}>
                  Proven
                </button>
              </form>
            </td>
          {:else}
            <td class="number">{line.speed}</td>
            <td class="number">{line.feed}</td>
            <td class="number">{line.depth || ''}</td>
            <td class="number">{line.width || ''}</td>
            <td>
              <span class={line.origin === 'proven' ? 'font-semibold text-working' : ''}>
                {line.origin}
              </span>
              <span class="text-soft">
                {#if line.origin === 'proven'}on {line.machine}, before {line.beforeSpeed} / {line.beforeFeed};{/if}
                {line.by}, {moment(line.at)}
              </span>
            </td>
          {/if}
          <td class="number">
            <button
              class="button quiet h-6!"
              title="Key p, then Enter"
              onclick={() => (proving = { ...line })}>Proven …</button
            >
            {#if may}
              <button
                class="button quiet h-6!"
                aria-label="Take out the line for {named(line.material)}"
                onclick={() => onremove(line)}>Take out</button
              >
            {/if}
          </td>
        </tr>
      {:else}
        <tr>
          <td colspan="8" class="text-soft"> No line yet: compute one below and keep it. </td>
        </tr>
      {/each}
      {#each elsewhere as line (line.id)}
        <tr class="text-soft">
          <td>
            <button class="hover:text-working" onclick={() => onopen(line)}>
              {capital(named(line.material))}
            </button>
          </td>
          <td>{line.purpose}</td>
          <td class="number">{line.speed}</td>
          <td class="number">{line.feed}</td>
          <td class="number">{line.depth || ''}</td>
          <td class="number">{line.width || ''}</td>
          <td colspan="2">proven on {line.machine} with another tool of the same geometry</td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
