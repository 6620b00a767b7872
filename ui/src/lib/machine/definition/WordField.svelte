<script lang="ts">
  let {
    label,
    value = $bindable(),
    width = 'w-40',
    readonly = false,
    list
  }: {
    label: string;
    value: string | null | undefined;
    width?: string;
    readonly?: boolean;
    /** Id of a list of what may be meant. */
    list?: string;
  } = $props();

  const id = $props.id();
</script>

<label class="flex flex-col gap-0.5" for={id}>
  <span class="text-[12px] text-soft">{label}</span>
  <input
    {id}
    class={['field', width]}
    {readonly}
    {list}
    autocomplete="off"
    bind:value={() => value ?? '', (next) => (value = next)}
  />
</label>
