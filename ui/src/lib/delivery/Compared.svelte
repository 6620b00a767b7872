<script lang="ts">
  import type { components } from '$lib/api/schema';
  import { count } from '$lib/shell/text';

  let { compared }: { compared: components['schemas']['Compared'] } = $props();
</script>

<details class="band">
  <summary class="flex h-9 cursor-pointer items-center gap-3 px-5">
    <span class="font-semibold">Beside {compared.libraryName ?? 'the shop'}</span>
    <span class="text-soft">
      {compared.fresh} new, {compared.changed} changed, {compared.same} the same, {compared.missing}
      missing here
    </span>
  </summary>
  <div class="px-5 pb-4">
    {#if compared.missing === 0}
      <p class="text-soft">The delivery names every tool of the library.</p>
    {:else}
      <p>
        {count(compared.missing, 'tool')} of the library {compared.missing === 1 ? 'is' : 'are'} not in
        this delivery. They stay in the library; remove there what is to go.
      </p>
      <ul class="mt-2 grid max-h-48 grid-cols-4 gap-x-6 overflow-auto text-[13px]">
        {#each compared.missingTools as tool (tool.toolId)}
          <li class="truncate">
            <a class="code hover:text-working" href="/tools/{tool.toolId}">{tool.code}</a>
            <span class="text-soft">{tool.name}</span>
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</details>
