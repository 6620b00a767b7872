<script lang="ts">
  import { Checkbox } from 'bits-ui';

  let {
    checked = $bindable(false),
    label,
    hidden = false,
    disabled = false
  }: {
    checked: boolean;
    label: string;
    /** True where something beside it says already what it is for. */
    hidden?: boolean;
    disabled?: boolean;
  } = $props();
  const id = $props.id();
</script>

<span class="inline-flex min-w-0 items-center gap-2">
  <Checkbox.Root
    {id}
    bind:checked
    {disabled}
    aria-label={label}
    class="flex size-4 shrink-0 items-center justify-center rounded-sm border border-soft bg-sheet data-[state=checked]:border-working data-[state=checked]:bg-working disabled:opacity-50"
  >
    {#snippet children({ checked: on })}
      {#if on}
        <svg viewBox="0 0 12 12" class="size-3" aria-hidden="true">
          <path d="M2 6.5 5 9.5 10 3" fill="none" stroke="var(--on-working)" stroke-width="2" />
        </svg>
      {/if}
    {/snippet}
  </Checkbox.Root>
  {#if !hidden}<label for={id} class={['truncate', disabled && 'text-soft']}>{label}</label>{/if}
</span>
