<script lang="ts">
  import type { LibraryRight, RightsBody, RightsView, Role, Sharing } from '$lib/api/client';
  import { allOthers, roleWord } from '$lib/account/words';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import { shareLibrary } from './actions';
  import { rights, sharings, upTo } from './rights';

  let { view, onsaved }: { view: RightsView; onsaved: () => void } = $props();

  interface Said {
    account: number;
    name: string;
    role: Role;
    right: LibraryRight;
  }
  type RoleChoice = LibraryRight | 'USUAL';

  // svelte-ignore state_referenced_locally (a form keeps what it began with)
  const begun = $state.snapshot(view) as RightsView;
  let sharing = $state<Sharing>(begun.sharing);
  let people = $state<Said[]>(begun.people);
  let roles = $state<Record<string, RoleChoice>>(
    Object.fromEntries(
      begun.roles.map(({ role, said, right }) => [role, said && right ? right : 'USUAL'])
    )
  );
  let wrong = $state('');
  let busy = $state(false);

  const most = (role: Role) => begun.roles.find((one) => one.role === role)?.most ?? 'USE';
  const others = $derived(
    [...begun.others, ...begun.people].filter(
      (one) => !people.some(({ account }) => account === one.account)
    )
  );
  const means = $derived(sharings.find(({ value }) => value === sharing)?.means ?? '');
  const usually = $derived(
    sharing === 'PRIVATE' ? 'not seen' : sharing === 'REFERENCE' ? 'use it' : 'as usual'
  );
  /** Leads cannot be kept out of a library of the shop, so nothing is said of them there. */
  const shownRoles = $derived(
    begun.roles.filter(({ role }) => sharing === 'PRIVATE' || role !== 'LEAD')
  );

  function add(account: string) {
    const one = others.find((other) => String(other.account) === account);
    if (!one) return;
    const right: LibraryRight = most(one.role) === 'OWNER' ? 'MAINTAIN' : 'USE';
    people.push({ account: one.account, name: one.name, role: one.role, right });
  }

  const body = (): RightsBody => ({
    sharing,
    people: people.map(({ account, right }) => ({ account, right })),
    roles: Object.entries(roles)
      .filter(([, right]) => right !== 'USUAL')
      .map(([role, right]) => ({ role: role as Role, right: right as LibraryRight })),
    stamp: begun.stamp
  });

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await shareLibrary(begun.library, body());
      onsaved();
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<form class="grid gap-5" {onsubmit}>
  <div class="grid grid-cols-[130px_1fr] items-center gap-x-4 gap-y-1">
    <span>Shared</span>
    <div><Choice label="Shared" bind:value={sharing} options={sharings} /></div>
    <span></span>
    <span class="text-soft">{means}</span>
  </div>
  <table class="rows w-full">
    <thead>
      <tr><th>Who</th><th>Role</th><th>May</th><th class="w-20"></th></tr>
    </thead>
    <tbody>
      {#each people as one (one.account)}
        <tr class="h-10">
          <td class="font-semibold">{one.name}</td>
          <td>{roleWord(one.role)}</td>
          <td>
            <Choice label="{one.name} may" bind:value={one.right} options={upTo(most(one.role))} />
          </td>
          <td>
            <button
              type="button"
              class="button quiet"
              aria-label="Remove {one.name}"
              onclick={() => (people = people.filter((other) => other !== one))}>Remove</button
            >
          </td>
        </tr>
      {/each}
      {#each shownRoles as one (one.role)}
        <tr class="h-10">
          <td class="text-soft">{allOthers[one.role]}</td>
          <td>{roleWord(one.role)}</td>
          <td>
            <Choice
              label="Every {roleWord(one.role)} may"
              bind:value={roles[one.role]}
              options={[{ value: 'USUAL' as RoleChoice, label: usually }, ...upTo(one.most)]}
            />
            {#if roles[one.role] === 'USUAL' && usually === 'as usual'}
              <span class="text-soft">
                {rights.find(({ value }) => value === one.usual)?.label ?? ''}
              </span>
            {/if}
          </td>
          <td></td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if others.length > 0}
    <div>
      <Choice
        label="Name somebody"
        bind:value={() => '', add}
        options={[
          { value: '', label: 'Name somebody' },
          ...others.map((one) => ({
            value: String(one.account),
            label: `${one.name} (${roleWord(one.role)})`
          }))
        ]}
      />
    </div>
  {/if}
  {#if wrong}<p role="alert" class="text-hold">{wrong}</p>{/if}
  <div class="flex justify-end"><button class="button main" disabled={busy}>Save</button></div>
</form>
