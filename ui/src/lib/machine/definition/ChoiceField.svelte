<script lang="ts" generics="Value extends string">
  import Choice from '$lib/shell/Choice.svelte';

  let {
    label,
    value = $bindable(),
    options,
    disabled = false
  }: {
    label: string;
    value: Value;
    options: { value: Value; label: string }[];
    disabled?: boolean;
  } = $props();
</script>

<div class="flex flex-col gap-0.5">
  <span class="text-[12px] text-soft" aria-hidden="true">{label}</span>
  <Choice {label} bind:value {options} {disabled} />
</div>
