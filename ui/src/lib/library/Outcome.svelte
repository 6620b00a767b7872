<script lang="ts">
  import type { Copied } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital } from '$lib/shell/text';

  let { one }: { one: Copied['told'][number] } = $props();

  const marks = { REFUSED: 'hold', HERE: 'note', ENTERS: 'query' } as const;
</script>

<span><Mark kind={marks[one.outcome]} word="" /> {capital(one.why)}</span>
