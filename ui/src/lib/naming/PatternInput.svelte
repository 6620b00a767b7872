<script lang="ts">
  import { completed, offered, openField, type PatternField } from './completion';

  let {
    label,
    value = $bindable(),
    fields,
    fault,
    placeholder,
    readonly = false
  }: {
    label: string;
    value: string;
    fields: PatternField[];
    fault?: string | null;
    placeholder: string;
    readonly?: boolean;
  } = $props();

  const id = $props.id();
  let input = $state<HTMLInputElement>();
  let caret = $state(0);
  let active = $state(false);
  let chosen = $state(0);
  const open = $derived(active ? openField(value, caret) : null);
  const choices = $derived(open ? offered(fields, open.word) : []);

  function look() {
    caret = input?.selectionStart ?? 0;
    chosen = 0;
  }

  function take(field: PatternField) {
    const [text, at] = completed(value, caret, field.symbol);
    value = text;
    queueMicrotask(() => {
      input?.setSelectionRange(at, at);
      look();
    });
  }

  function onkeydown(event: KeyboardEvent) {
    if (choices.length === 0) return;
    if (event.key === 'ArrowDown') chosen = (chosen + 1) % choices.length;
    else if (event.key === 'ArrowUp') chosen = (chosen + choices.length - 1) % choices.length;
    else if (event.key === 'Enter') take(choices[chosen]);
    else if (event.key === 'Escape') active = false;
    else return;
    event.preventDefault();
  }
</script>

<div class="relative">
  <div class="flex items-center gap-3">
    <label class="w-24 text-soft" for="{id}-pattern">{label}</label>
    <input
      id="{id}-pattern"
      bind:this={input}
      class="field code w-[26rem]"
      role="combobox"
      aria-expanded={choices.length > 0}
      aria-controls="{id}-fields"
      aria-invalid={Boolean(fault)}
      aria-describedby="{id}-fault"
      autocomplete="off"
      spellcheck="false"
      {placeholder}
      {readonly}
      bind:value
      oninput={() => {
        active = true;
        look();
      }}
      onkeyup={(event) => {
        if (event.key.startsWith('Arrow') && choices.length === 0) look();
      }}
      onclick={look}
      onblur={() => (active = false)}
      {onkeydown}
    />
    <span id="{id}-fault" class="text-[13px] text-hold">{fault ?? ''}</span>
  </div>
  {#if choices.length > 0}
    <ul
      id="{id}-fields"
      role="listbox"
      aria-label="Properties"
      class="absolute left-[6.75rem] top-8 z-10 w-[26rem] border border-hairline bg-sheet"
    >
      {#each choices as field, index (field.symbol)}
        <li
          role="option"
          aria-selected={index === chosen}
          class={['flex gap-3 px-2 py-1', index === chosen && 'bg-faint']}
          onpointerdown={(event) => {
            event.preventDefault();
            take(field);
          }}
        >
          <span class="code w-16">{field.symbol}</span>
          <span class="text-soft">{field.name}</span>
        </li>
      {/each}
    </ul>
  {/if}
</div>
