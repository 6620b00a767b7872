<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import type { Next } from './next';

  let { next }: { next: Next[] } = $props();
</script>

<ul class="mt-1">
  {#each next as step (step.href + step.text)}
    <li class="band">
      <a class="group flex h-10 items-center gap-3 hover:bg-faint" href={step.href}>
        <Mark kind={step.kind} word="" />
        <span class="w-12 text-right text-[17px] font-semibold">
          {step.number.toLocaleString('en')}
        </span>
        <span class="min-w-0 flex-1 truncate" title={step.text}>{step.text}</span>
        <span class="shrink-0 font-semibold text-working group-hover:underline">{step.act}</span>
      </a>
    </li>
  {/each}
</ul>
