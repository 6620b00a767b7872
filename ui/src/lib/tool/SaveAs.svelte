<script lang="ts">
  import { DropdownMenu } from 'bits-ui';

  let { id, solid }: { id: number; solid: boolean } = $props();

  const files = $derived([
    ...(solid ? [{ href: `/api/v1/tools/${id}/step`, label: 'Solid as STEP' }] : []),
    { href: `/api/v1/tools/${id}/package`, label: 'Package: properties and solids' },
    { href: `/api/v1/tools/${id}/export?format=p21`, label: 'Properties as ISO 10303-21' },
    { href: `/api/v1/tools/${id}/export?format=mtconnect`, label: 'MTConnect archetype' },
    { href: `/api/v1/tools/${id}/export?format=json`, label: 'JSON' },
    { href: `/api/v1/tools/${id}/export?format=text`, label: 'Plain text' }
  ]);
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button">Save as ▾</DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="floating z-50 p-1" align="end" sideOffset={4}>
      {#each files as file (file.href)}
        <DropdownMenu.Item
          class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
          onSelect={() => location.assign(file.href)}
        >
          {file.label}
        </DropdownMenu.Item>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
