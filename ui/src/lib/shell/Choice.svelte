<script lang="ts" generics="Value extends string">
  import { tick } from 'svelte';
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

  /** It is a plain button until it is used first: a page may have hundreds of these. */
  let used = $state(false);
  let open = $state(false);
  let trigger = $state<HTMLElement | null>(null);
  const id = $props.id();
  const looks = 'field inline-flex max-w-full items-center gap-2';
  const shown = $derived(options.find((option) => option.value === value)?.label ?? '');

  async function use() {
    used = true;
    await tick();
    trigger?.focus();
    open = true;
  }

  /** Arrows open it, too, and so does a letter; Enter and Space click. */
  function onkeydown(event: KeyboardEvent) {
    const letter = event.key.length === 1 && event.key !== ' ';
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (!letter && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    void use();
  }
</script>

{#snippet text()}
  <span class="truncate">{shown}</span>
  <span class="text-soft" aria-hidden="true">▾</span>
{/snippet}

{#if !used}
  <button
    type="button"
    role="combobox"
    class={looks}
    aria-label={label}
    aria-haspopup="listbox"
    aria-expanded="false"
    aria-controls="{id}-list"
    {disabled}
    onclick={() => void use()}
    {onkeydown}
  >
    {@render text()}
  </button>
{:else}
  <Select.Root
    type="single"
    bind:value={() => value, (next) => (value = next as Value)}
    bind:open
    {disabled}
  >
    <Select.Trigger class={looks} aria-label={label} bind:ref={trigger}>
      {@render text()}
    </Select.Trigger>
    <Select.Portal>
      <Select.Content
        id="{id}-list"
        class="floating z-50 max-h-80 overflow-auto p-1"
        sideOffset={4}
      >
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
  </Select.Root>
{/if}
