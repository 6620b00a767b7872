<script lang="ts">
  import { moment } from '$lib/shell/text';
  import OnceShown from './OnceShown.svelte';

  let { name, token, endsAt }: { name: string; token: string; endsAt: string } = $props();

  const link = $derived(`${location.origin}/welcome#${token}`);
</script>

<OnceShown
  text={link}
  label="Link for {name}"
  hint="Give this link to {name}, who chooses a password by it. It works once, until {moment(
    endsAt
  )}, and cannot be shown again."
/>
