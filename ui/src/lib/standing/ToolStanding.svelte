<script lang="ts">
  import type { Sheet } from '$lib/api/client';
  import { moment } from '$lib/shell/text';
  import { moveTools } from './actions';
  import StandingMark from './StandingMark.svelte';
  import StandingMenu from './StandingMenu.svelte';

  let { id, trusted, readonly }: { id: number; trusted: Sheet['trusted']; readonly: boolean } =
    $props();

  const since = $derived(
    trusted.by && trusted.at ? `since ${moment(trusted.at)}, by ${trusted.by}` : ''
  );
</script>

{#if readonly}
  <span title={since}><StandingMark standing={trusted.standing} /></span>
{:else}
  <StandingMenu
    label="How far it is trusted{since && `: ${since}`}"
    now={trusted.standing}
    onmove={(to) => void moveTools([id], to)}
  >
    <StandingMark standing={trusted.standing} />
  </StandingMenu>
{/if}
