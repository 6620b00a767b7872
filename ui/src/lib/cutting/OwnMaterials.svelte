<script lang="ts">
  import LastingDelete from '$lib/shell/LastingDelete.svelte';
  import { addMaterial, removeMaterial } from '$lib/cutting/actions';
  import type { components } from '$lib/api/schema';
  import { entries } from '$lib/quantity/entries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';

  let {
    open = $bindable(),
    materials,
    onadd
  }: {
    open: boolean;
    materials: components['schemas']['WorkMaterial'][];
    onadd: (id: string) => void;
  } = $props();

  const groups = [
    { value: 'P', label: 'P  steel' },
    { value: 'M', label: 'M  stainless steel' },
    { value: 'K', label: 'K  cast iron' },
    { value: 'N', label: 'N  non-ferrous metal' },
    { value: 'S', label: 'S  titanium, heat-resistant alloys' },
    { value: 'H', label: 'H  hardened steel' },
    { value: 'W', label: 'W  wood' },
    { value: 'O', label: 'O  plastics, laminates' }
  ];
  const own = $derived(materials.filter((material) => material.id.startsWith('own-')));
  let name = $state('');
  let group = $state('N');
  let force = $state<number | null>(null);
  let rise = $state<number | null>(null);
  let hardness = $state<number | null>(null);
  let fault = $state('');

  /** A refusal stands at the form. */
  async function during(deed: Promise<unknown>) {
    fault = '';
    try {
      await deed;
      return true;
    } catch (error) {
      fault = (error as Error).message;
      return false;
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (!(await entries.sound())) return;
    const body = {
      name,
      group,
      force: force ?? undefined,
      rise: rise ?? undefined,
      hardness: hardness ?? undefined
    };
    const added = addMaterial(body);
    if (await during(added)) {
      onadd((await added).id);
      name = '';
      force = rise = hardness = null;
    }
  }

  function remove(id: string, title: string) {
    void during(removeMaterial(id, title));
  }
</script>

<DialogFrame
  bind:open
  title="Own work materials"
  hint="Give kc1.1 where it is known; for metals the hardness does for an estimate. Speeds and feeds begin with those of the most similar material of the group."
>
  {#if own.length > 0}
    <ul class="mb-4">
      {#each own as material (material.id)}
        <li class="band flex items-center gap-3 py-1">
          <span class="w-4 text-soft">{material.group}</span>
          <span class="min-w-0 flex-1 truncate">{material.name}</span>
          <span class="text-soft">kc1.1 {material.force}, mc {material.rise}</span>
          <LastingDelete
            word="Remove"
            label="Remove {material.name}"
            ondelete={() => remove(material.id, material.name)}
          />
        </li>
      {/each}
    </ul>
  {/if}
  <form class="grid grid-cols-[120px_1fr] items-center gap-x-3 gap-y-2" onsubmit={add}>
    <label class="text-soft" for="own-name">Name</label>
    <input id="own-name" class="field" maxlength="60" bind:value={name} />
    <span class="text-soft">Group</span>
    <Choice label="Group" bind:value={group} options={groups} />
    <label class="text-soft" for="own-force">kc1.1, N/mm²</label>
    <NumberField id="own-force" label="kc1.1, N/mm²" class="w-32" optional bind:value={force} />
    <label class="text-soft" for="own-rise">mc</label>
    <NumberField id="own-rise" label="mc" class="w-32" optional bind:value={rise} />
    <label class="text-soft" for="own-hardness">Hardness, HB</label>
    <NumberField
      id="own-hardness"
      label="Hardness, HB"
      class="w-32"
      optional
      bind:value={hardness}
    />
    <span></span>
    <span class="flex items-center gap-3">
      <button class="button main">Add</button>
      {#if fault}<span role="alert" class="text-hold">{fault}</span>{/if}
    </span>
  </form>
</DialogFrame>
