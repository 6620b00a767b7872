<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** The words on the button. */
    label: string;
    /** What the files are for, for those who do not see the page. */
    purpose: string;
    main?: boolean;
    /** Sends the files and says how much of them is sent, from 0 to 1. */
    send: (files: File[], progress: (share: number) => void) => Promise<unknown>;
    /** What stands beside the button while nothing is sent. */
    hint?: Snippet;
  }

  let { label, purpose, main = false, send, hint }: Props = $props();

  let picker = $state<HTMLInputElement>();
  let sending = $state<{ name: string; share: number } | null>(null);

  let before: Promise<unknown> = Promise.resolve();

  /** Sends files, also such as were dropped or pasted, behind those that are on their way. */
  export function take(files: Iterable<File> | null | undefined): Promise<unknown> {
    const list = [...(files ?? [])];
    if (picker) picker.value = '';
    const next = () => sendAll(list);
    if (list.length > 0) before = before.then(next, next);
    return before;
  }

  async function sendAll(list: File[]) {
    const name = list.length === 1 ? list[0].name : `${list.length} files`;
    sending = { name, share: 0 };
    try {
      await send(list, (share) => (sending = { name, share }));
    } finally {
      sending = null;
    }
  }
</script>

{#if sending}
  <span class="max-w-80 truncate">{sending.name}: {Math.round(sending.share * 100)} % sent</span>
  <progress class="w-64" max="1" value={sending.share} aria-label="sent"></progress>
{:else}
  <button class={['button', main ? 'main' : 'quiet']} onclick={() => picker?.click()}>
    {label}
  </button>
  {@render hint?.()}
{/if}
<input
  bind:this={picker}
  type="file"
  multiple
  class="sr-only"
  tabindex="-1"
  aria-label={purpose}
  onchange={(event) => void take(event.currentTarget.files)}
/>
