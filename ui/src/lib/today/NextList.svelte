<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import type { Next } from './next';

  let { next }: { next: Next[] } = $props();
</script>

<ul class="mt-1">
  {#each next as step (step.href + step.text)}
    <li class="band">
      <a class="group flex min-h-10 items-center gap-3 hover:bg-faint max-md:py-3" href={step.href}>
        <Mark kind={step.kind} word="" />
        <span class="w-12 text-right max-md:w-8 text-[17px] font-semibold">
          {step.number.toLocaleString('en')}
        </span>
        <span class="min-w-0 flex-1 md:truncate" title={step.text}>{step.text}</span>
        <span class="shrink-0 font-semibold text-working group-hover:underline">{step.act}</span>
      </a>
    </li>
  {/each}
</ul>
