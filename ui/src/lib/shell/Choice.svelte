<script lang="ts" generics="Value extends string">
  import { Select } from 'bits-ui';

  let {
    value = $bindable(),
    options,
    label,
    disabled = false
  }: {
    value: Value;
    options: { value: Value; label: string }[];
    label: string;
    disabled?: boolean;
  } = $props();

  /** The list is made when it is opened first: a page may have hundreds of these. */
  let opened = $state(false);
  const shown = $derived(options.find((option) => option.value === value)?.label ?? '');
</script>

<Select.Root
  type="single"
  bind:value={() => value, (next) => (value = next as Value)}
  onOpenChange={() => (opened = true)}
  {disabled}
>
  <Select.Trigger class="field inline-flex max-w-full items-center gap-2" aria-label={label}>
    <span class="truncate">{shown}</span>
    <span class="text-soft" aria-hidden="true">▾</span>
  </Select.Trigger>
  {#if opened}
    <Select.Portal>
      <Select.Content class="floating z-50 max-h-80 overflow-auto p-1" sideOffset={4}>
        <Select.Viewport>
          {#each options as option (option.value)}
            <Select.Item
              value={option.value}
              label={option.label}
              class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint data-selected:font-semibold"
            >
              {option.label}
            </Select.Item>
          {/each}
        </Select.Viewport>
      </Select.Content>
    </Select.Portal>
  {/if}
</Select.Root>
