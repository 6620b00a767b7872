<script lang="ts">
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { count } from '$lib/shell/text';
  import { asking } from './changes.svelte';
</script>

{#if asking.now}
  {@const { jobs, answer } = asking.now}
  <DialogFrame
    open
    title="{count(jobs.length, 'job')} would change"
    hint="Finish or change the job first; or have it done all the same, which is kept on the trail."
    onclose={() => answer(false)}
  >
    <ul>
      {#each jobs as { job, name, why } (job)}
        <li class="py-0.5">
          <a class="font-semibold underline hover:text-working" href="/jobs/{job}">{name}</a>
          {why}.
        </li>
      {/each}
    </ul>
    <div class="mt-4 flex justify-end gap-2">
      <button class="button" onclick={() => answer(false)}>Leave it as it is</button>
      <button class="button main" onclick={() => answer(true)}>Change it all the same</button>
    </div>
  </DialogFrame>
{/if}
