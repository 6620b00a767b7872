<script lang="ts">
  let { error }: { error: unknown } = $props();

  const what = $derived(error instanceof Error ? error.message : String(error));
</script>

<section role="alert" class="m-auto max-w-lg p-8">
  <div class="centre-line mb-6 w-40" aria-hidden="true"></div>
  <h1>This page failed while it was shown</h1>
  <p class="mt-2">
    Nothing was changed by that. Load it again; if it fails again, tell who keeps this program.
  </p>
  <p class="code mt-2 text-[13px] text-soft">{what.split('\n')[0]}</p>
  <div class="mt-4 flex gap-2">
    <button class="button main" onclick={() => location.reload()}>Load again</button>
    <a class="button" href="/" data-sveltekit-reload>Go to Today</a>
  </div>
</section>
