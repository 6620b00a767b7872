<script lang="ts">
  import { capital } from '$lib/shell/text';
  import { changePassword } from './actions';

  let old = $state('');
  let fresh = $state('');
  let again = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    wrong = '';
    if (fresh !== again) {
      wrong = 'The new password was typed differently the second time';
      return;
    }
    busy = true;
    try {
      await changePassword(old, fresh);
      old = fresh = again = '';
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<form class="grid max-w-xl grid-cols-[150px_1fr] items-center gap-x-4 gap-y-2" {onsubmit}>
  <label for="old-password">Old password</label>
  <input
    id="old-password"
    class="field"
    type="password"
    autocomplete="current-password"
    required
    bind:value={old}
  />
  <label for="new-password">New password</label>
  <input
    id="new-password"
    class="field"
    type="password"
    autocomplete="new-password"
    required
    bind:value={fresh}
  />
  <label for="same-password">The new one again</label>
  <input
    id="same-password"
    class="field"
    type="password"
    autocomplete="new-password"
    required
    bind:value={again}
  />
  <p role="alert" class="col-span-2 min-h-5 text-hold">{wrong}</p>
  <div class="col-span-2"><button class="button" disabled={busy}>Change the password</button></div>
</form>
