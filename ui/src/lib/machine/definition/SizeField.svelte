<script lang="ts">
  import NumberField from '$lib/quantity/NumberField.svelte';

  let {
    label,
    value = $bindable(),
    unit = 'mm',
    optional = false,
    signed = false,
    readonly = false
  }: {
    label: string;
    value: number | null | undefined;
    unit?: string;
    optional?: boolean;
    /** Also takes sizes below zero. */
    signed?: boolean;
    readonly?: boolean;
  } = $props();

  const id = $props.id();
</script>

<label class="flex flex-col gap-0.5" for={id}>
  <span class="text-[12px] text-soft">{label}</span>
  <NumberField
    {id}
    {label}
    {unit}
    {optional}
    {readonly}
    positive={!signed}
    class="w-24"
    value={value ?? null}
    onvalue={(_, exact) => (value = exact === '' ? null : Number(exact))}
  />
</label>
