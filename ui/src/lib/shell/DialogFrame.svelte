<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Dialog } from 'bits-ui';

  let {
    open = $bindable(false),
    title,
    hint,
    wide = false,
    onclose,
    children
  }: {
    open: boolean;
    title: string;
    hint?: string;
    /** For tables. */
    wide?: boolean;
    onclose?: () => void;
    children: Snippet;
  } = $props();
</script>

<Dialog.Root bind:open onOpenChange={(now) => !now && onclose?.()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/30" />
    <Dialog.Content
      class={[
        'floating fixed left-1/2 top-24 z-50 max-h-[75vh] max-w-[94vw] -translate-x-1/2 overflow-auto p-5',
        wide ? 'w-[960px]' : 'w-[680px]'
      ]}
    >
      <Dialog.Title class="text-[17px] font-semibold">{title}</Dialog.Title>
      {#if hint}
        <Dialog.Description class="mt-1 text-soft">{hint}</Dialog.Description>
      {/if}
      <div class="mt-4">{@render children()}</div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
