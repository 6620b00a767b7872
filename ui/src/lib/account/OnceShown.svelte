<script lang="ts">
  import { done } from '$lib/shell/toast';

  let {
    text,
    label,
    hint
  }: {
    /** What cannot be read again. */
    text: string;
    label: string;
    hint: string;
  } = $props();

  async function copy() {
    await navigator.clipboard.writeText(text);
    done('Copied');
  }
</script>

<div class="border-l-2 border-working bg-faint px-4 py-3">
  <p class="text-soft">{hint}</p>
  <div class="mt-2 flex items-center gap-2">
    <input
      class="field code min-w-0 flex-1"
      readonly
      aria-label={label}
      value={text}
      onfocus={(event) => event.currentTarget.select()}
    />
    <button type="button" class="button" onclick={() => void copy()}>Copy</button>
  </div>
</div>
