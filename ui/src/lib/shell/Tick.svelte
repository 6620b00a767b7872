<script lang="ts">
  import { Checkbox } from 'bits-ui';

  let {
    checked = $bindable(false),
    label,
    hidden = false
  }: {
    checked: boolean;
    label: string;
    /** True where something beside it says already what it is for. */
    hidden?: boolean;
  } = $props();
  const id = $props.id();
</script>

<span class="inline-flex min-w-0 items-center gap-2">
  <Checkbox.Root
    {id}
    bind:checked
    aria-label={label}
    class="flex size-4 shrink-0 items-center justify-center rounded-sm border border-soft bg-sheet data-[state=checked]:border-working data-[state=checked]:bg-working"
  >
    {#snippet children({ checked: on })}
      {#if on}
        <span class="h-0.5 w-2 bg-(--on-working)" aria-hidden="true"></span>
      {/if}
    {/snippet}
  </Checkbox.Root>
  {#if !hidden}<label for={id} class="truncate">{label}</label>{/if}
</span>
