<script lang="ts">
  import type { UpdateStep } from '$lib/api/client';
  import Overlay from '$lib/drawing/Overlay.svelte';
  import FieldTable from '$lib/edition/FieldTable.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital, count } from '$lib/shell/text';

  let { step, take = $bindable() }: { step: UpdateStep; take: boolean } = $props();

  const words = { ADDED: 'comes in', CHANGED: 'changes', REMOVED: 'goes out' };
</script>

<div class="flex items-start gap-3 border-b border-hairline py-1">
  <span class="pt-0.5"><Checkbox label="Take {step.code}" hidden bind:checked={take} /></span>
  <details class="group min-w-0 flex-1" open={step.obstacles.length > 0}>
    <summary class="flex cursor-pointer items-center gap-3">
      <span class="text-soft group-open:rotate-90" aria-hidden="true">▸</span>
      <span class="code w-36 shrink-0 truncate" title={step.code}>{step.code}</span>
      <span class="min-w-0 flex-1 truncate">{step.name}</span>
      {#if step.obstacles.length > 0}<Mark kind="hold" word="cannot become so" />{/if}
      <span class="text-soft"
        >{take ? words[step.kind] : 'stays as it is'}{step.fields.length > 0 && take
          ? `, ${count(step.fields.length, 'field')}`
          : ''}</span
      >
    </summary>
    <div class="pb-2 pt-1">
      {#each step.obstacles as obstacle (obstacle)}
        <p class="text-hold">{capital(obstacle)}</p>
      {/each}
      <Overlay
        before={step.before}
        after={step.after}
        label="{step.code} before and after, to scale"
      />
      {#if step.fields.length > 0}<div class="mt-2"><FieldTable fields={step.fields} /></div>{/if}
      {#if step.toolId}
        <p class="mt-1">
          <a class="text-working underline" href="/tools/{step.toolId}">Open the sheet</a>
        </p>
      {/if}
    </div>
  </details>
</div>
