<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import { commentQuery } from '$lib/naming/queries';

  let { name }: { name: string } = $props();

  const settled = new Debounced(() => name, 150);
  const comments = createQuery(() => commentQuery(settled.current));
</script>

{#if name && comments.data}
  <section aria-label="Comments of controls">
    <h2 class="px-5 pb-1 pt-4">In the comment of the control</h2>
    <ul class="px-5">
      {#each comments.data.items as comment (comment.machineId)}
        <li class="band py-1.5">
          <div class="flex items-baseline gap-2">
            <span class="text-soft">{comment.machine}</span>
            <span class="ml-auto text-[13px] text-soft">
              {comment.most === 0
                ? 'keeps none'
                : `${comment.length} of ${comment.most} characters`}
            </span>
          </div>
          {#if comment.most > 0}<p class="code">{comment.text}</p>{/if}
          {#each comment.changes as change, index (index)}
            <p class="text-[13px] text-query">{change}</p>
          {/each}
        </li>
      {/each}
    </ul>
  </section>
{/if}
