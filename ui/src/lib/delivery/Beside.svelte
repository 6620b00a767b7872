<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { settleLines } from '$lib/delivery/actions';
  import { besideQuery } from '$lib/delivery/queries';
  import type { Line } from '$lib/api/client';
  import Strip from '$lib/drawing/Strip.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';

  let {
    delivery,
    line,
    editable,
    onclose
  }: { delivery: number; line: Line; editable: boolean; onclose: () => void } = $props();

  const beside = createQuery(() => besideQuery(delivery, line.id));
  const others = $derived(beside.data?.items ?? []);
  const rival = $derived(others.find((other) => other.sameCode && other.toolId));
  let fields = $state<string[]>([]);
  let busy = $state(false);

  function origin(other: (typeof others)[number]): string {
    return other.toolId ? 'in the shop' : 'in this delivery';
  }

  async function settle(answer: 'keep' | 'replace' | 'merge') {
    busy = true;
    const some = answer === 'merge' ? fields : undefined;
    const done = await settleLines(delivery, answer, [line.id], some);
    busy = false;
    if (done) onclose();
  }

  function toggle(field: string, on: boolean) {
    fields = on ? [...fields, field] : fields.filter((one) => one !== field);
  }
</script>

<section aria-label="Beside {line.code}" class="shrink-0 border-t border-hairline bg-sheet">
  <header class="flex items-center gap-3 px-5 py-2">
    <h2>{line.code || 'This line'} beside what looks like it</h2>
    {#if rival && editable && line.disposition === 'hold'}
      <button class="button ml-auto" disabled={busy} onclick={() => settle('keep')}
        >Keep the shop's</button
      >
      <button class="button" disabled={busy} onclick={() => settle('replace')}
        >Take these values</button
      >
      <button class="button" disabled={busy || fields.length === 0} onclick={() => settle('merge')}
        >Take what is marked</button
      >
    {/if}
    <button class={['button quiet', !rival && 'ml-auto']} onclick={onclose}>Close</button>
  </header>
  {#if beside.isPending}
    <p class="px-5 py-4 text-soft">Looking for it …</p>
  {:else if beside.data && others.length === 0}
    <p class="px-5 py-4 text-soft">Nothing in the shop or in this delivery looks like it.</p>
  {:else if beside.data}
    <Strip
      tools={[
        { key: 0, code: line.code, outline: line.outline },
        ...others.map((other, index) => ({
          key: index + 1,
          code: other.code,
          outline: other.outline
        }))
      ].slice(0, 4)}
    />
    <div class="flex gap-8 overflow-x-auto px-5 pb-3">
      {#each others as other (`${other.toolId}-${other.lineId}`)}
        <div class="min-w-64">
          <p>
            {#if other.toolId}
              <a class="code hover:text-working" href="/tools/{other.toolId}">{other.code}</a>
            {:else}
              <span class="code">{other.code}</span>
            {/if}
            <span class="text-soft"
              >{origin(other)}, {other.percent} % alike{other.sameCode ? ', same code' : ''}</span
            >
          </p>
          <ul class="max-h-24 overflow-auto text-[13px]">
            {#each other.differences as difference (difference.field)}
              <li class="flex items-center gap-2">
                {#if other === rival && editable && line.disposition === 'hold'}
                  <input
                    type="checkbox"
                    aria-label="Take {difference.field} from the line"
                    checked={fields.includes(difference.field)}
                    onchange={(event) => toggle(difference.field, event.currentTarget.checked)}
                  />
                {/if}
                <span class="code w-14">{difference.field}</span>
                <span>{difference.here || 'none'}</span>
                <s class="text-soft">{difference.there || 'none'}</s>
              </li>
            {:else}
              <li class="text-soft">every value is the same</li>
            {/each}
          </ul>
        </div>
      {/each}
    </div>
  {/if}
  <NotLoaded query={beside} />
</section>
