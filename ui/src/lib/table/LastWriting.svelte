<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { writesQuery } from '$lib/table/queries';
  import { moment } from '$lib/shell/text';

  let {
    machine,
    read
  }: {
    machine: string;
    /** False while the control cannot be read. */
    read: boolean;
  } = $props();

  const writes = createQuery(() => writesQuery(machine));
  const last = $derived(writes.data?.items[0]);
  const troubled = $derived(
    last && ['sending', 'unfinished', 'not read back', 'interrupted'].includes(last.state)
  );
  const titles: Record<string, string> = {
    sending: 'has not ended yet',
    unfinished: 'did not end: the server stopped in the middle',
    'not read back': 'could not be read back',
    interrupted: 'was interrupted'
  };

  function fate(file: { sentAt?: string | null; answer?: string | null }): string {
    if (!file.sentAt) return 'not sent';
    return file.answer ? `sent; the control said: ${file.answer}` : 'sent, no answer came';
  }
</script>

{#if last && troubled}
  <details class="m-5 border-l-4 border-query py-2 pl-4">
    <summary class="cursor-pointer">
      The last writing, begun {moment(last.begunAt)} by {last.by}, {titles[last.state]}.
      {read
        ? 'What the control holds now is compared below.'
        : 'What the control holds is compared as soon as it can be read.'}
    </summary>
    {#if last.problem}<p class="mt-1">{last.problem}</p>{/if}
    {#each last.files as file, index (index)}
      <h3 class="mt-2"><span class="code">{file.name}</span>: {fate(file)}</h3>
      <pre
        class="code max-h-40 overflow-auto border border-hairline bg-paper p-2 text-[12.5px]">{file.content}</pre>
    {/each}
  </details>
{/if}
