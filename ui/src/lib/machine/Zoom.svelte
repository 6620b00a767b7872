<script lang="ts">
  let { label, value = $bindable() }: { label: string; value: number } = $props();

  const STEPS = [1, 1.5, 2, 3];
  const at = $derived(STEPS.indexOf(value));
</script>

<span class="flex items-center gap-1" role="group" aria-label={label}>
  <button
    class="button quiet"
    aria-label="Smaller"
    disabled={at <= 0}
    onclick={() => (value = STEPS[at - 1])}>−</button
  >
  <button
    class="button quiet"
    aria-label="Larger"
    disabled={at >= STEPS.length - 1}
    onclick={() => (value = STEPS[at + 1])}>+</button
  >
</span>
