<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import DialogFrame from './DialogFrame.svelte';

  let {
    changed,
    what,
    saving
  }: {
    /** True while something is not saved that would be lost. */
    changed: boolean;
    /** What it belongs to. */
    what: string;
    /** What was saved last; whoever leaves meanwhile is asked only where it was refused. */
    saving?: Promise<unknown>;
  } = $props();

  /** How to get where somebody wanted to go; null while nobody wants to leave. */
  let onward = $state<(() => unknown) | null>(null);
  let decided = false;

  beforeNavigate(({ cancel, type, to, from, delta }) => {
    if (!changed || decided || to?.url.pathname === from?.url.pathname) return;
    cancel();
    if (type === 'leave' || !to) return;
    const { url } = to;
    void decide(() => (delta ? history.go(delta) : goto(url)));
  });

  async function decide(go: () => unknown) {
    await Promise.allSettled([saving]);
    onward = go;
    if (!changed) leave();
  }

  function leave() {
    decided = true;
    const go = onward;
    onward = null;
    go?.();
  }
</script>

<DialogFrame
  bind:open={() => onward !== null, (open) => (onward = open ? onward : null)}
  title="Leave without saving?"
  hint="{what} has changes that are not saved. Leaving forgets them."
>
  <div class="flex justify-end gap-2">
    <button class="button" onclick={leave}>Leave</button>
    <button class="button main" onclick={() => (onward = null)}>Stay here</button>
  </div>
</DialogFrame>
