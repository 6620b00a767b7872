<script lang="ts">
  import type { KeyHead } from '$lib/api/client';
  import { moment } from '$lib/shell/text';
  import { scopesWords } from './words';

  let { keys, onremove }: { keys: KeyHead[]; onremove: (key: KeyHead) => void } = $props();
</script>

<table class="rows w-full">
  <thead>
    <tr>
      <th>Key</th>
      <th>May</th>
      <th>Made</th>
      <th>Last used</th>
      <th class="w-20"><span class="sr-only">Actions</span></th>
    </tr>
  </thead>
  <tbody>
    {#each keys as key (key.id)}
      <tr class="hover:bg-faint">
        <td class="font-semibold">{key.name}</td>
        <td>{scopesWords(key.scopes)}</td>
        <td class="whitespace-nowrap">{moment(key.createdAt)}</td>
        <td class="whitespace-nowrap">{key.usedAt ? moment(key.usedAt) : 'never'}</td>
        <td>
          <button class="button quiet" aria-label="Remove {key.name}" onclick={() => onremove(key)}
            >Remove</button
          >
        </td>
      </tr>
    {/each}
  </tbody>
</table>
