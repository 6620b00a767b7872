<script lang="ts">
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import { DropdownMenu } from 'bits-ui';
  import { deliveriesQuery } from '$lib/delivery/queries';
  import { proposalsQuery } from '$lib/proposal/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { basket } from '$lib/library/basket.svelte';
  import { settings } from './settings.svelte';
  import { who } from './session.svelte';

  let { openCommands, openKeys }: { openCommands: () => void; openKeys: () => void } = $props();

  const deliveries = createQuery(deliveriesQuery);
  const waiting = $derived(
    (deliveries.data?.items ?? []).filter(
      (d) => d.state === 'ready' && d.pass + d.query + d.hold > d.taken
    ).length
  );
  const proposals = createQuery(proposalsQuery);
  const proposed = $derived(
    (proposals.data?.items ?? []).filter(({ state, toMe }) => state === 'OPEN' && toMe).length
  );
  const stops = $derived([
    { href: '/receiving', title: 'Receiving', waits: waiting },
    { href: '/libraries', title: 'Libraries', waits: proposed },
    { href: '/machines', title: 'Machines', waits: 0 },
    { href: '/toolroom', title: 'Toolroom', waits: 0 },
    { href: '/tables', title: 'Tool tables', waits: 0 },
    { href: '/jobs', title: 'Jobs', waits: 0 },
    { href: '/trail', title: 'Trail', waits: 0 }
  ]);
  const at = $derived(page.url.pathname);
  const pages = $derived([
    { href: '/account', title: 'My account' },
    { href: '/rules', title: 'Shop rules' },
    ...(who.may('MANAGE_ACCOUNTS') ? [{ href: '/accounts', title: 'Accounts' }] : [])
  ]);

  function here(href: string): boolean {
    const tool =
      href === '/libraries' &&
      ['/tools', '/holders', '/basket', '/duplicates', '/proposals', '/outlets'].some((beside) =>
        at.startsWith(beside)
      );
    const post =
      href === '/machines' && (at === '/posts' || at === '/links' || at.startsWith('/posts/'));
    return at === href || at.startsWith(href + '/') || tool || post;
  }

  async function signOut() {
    await who.signOut();
    await goto('/sign-in');
  }
</script>

<header class="relative z-20 flex min-h-12 shrink-0 flex-wrap items-center bg-paper pl-5 pr-3">
  <div class="centre-line absolute inset-x-0 top-6" aria-hidden="true"></div>
  <a
    href="/"
    class="relative whitespace-nowrap bg-paper pr-4 text-[17px] font-semibold tracking-tight"
    >Arbor Line</a
  >
  <nav
    aria-label="Stops of the work"
    class="relative ml-6 flex gap-7 max-xl:gap-4 max-md:order-last max-md:-ml-1.5 max-md:w-full max-md:flex-wrap max-md:gap-0"
  >
    {#each stops as stop (stop.href)}
      {@const current = here(stop.href)}
      <a
        href={stop.href}
        aria-current={current ? 'page' : undefined}
        class={[
          'relative whitespace-nowrap bg-paper px-2 py-1 max-md:px-1 max-md:py-2 max-md:text-[14px]',
          current ? 'font-semibold text-working' : 'text-ink hover:text-working'
        ]}
      >
        {#if current}
          <span class="absolute inset-y-0.5 left-0 w-[3px] bg-working" aria-hidden="true"></span>
          <span class="absolute inset-y-0.5 right-0 w-[3px] bg-working" aria-hidden="true"></span>
        {/if}
        {stop.title}
        {#if stop.waits > 0}
          <span class="ml-1 text-[13px] text-query" title="waiting">{stop.waits}</span>
        {/if}
      </a>
    {/each}
  </nav>
  <div class="relative ml-auto flex items-center gap-1 bg-paper pl-3">
    {#if basket.picked.length > 0}
      <a class="button quiet" href="/basket">
        Basket <span class="text-ink">{basket.picked.length}</span>
      </a>
    {/if}
    <button class="button quiet" onclick={openCommands}>
      Go to <kbd class="code text-soft max-md:hidden">Ctrl K</kbd>
    </button>
    <button
      class="button quiet"
      onclick={() => settings.toggleUnit()}
      aria-label="Lengths are shown in {settings.unit === 'mm' ? 'millimetres' : 'inches'}; switch"
    >
      {settings.unit}
    </button>
    <DropdownMenu.Root>
      <DropdownMenu.Trigger class="button quiet">{who.current.name ?? ''}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content class="floating z-50 min-w-44 p-1" align="end" sideOffset={4}>
          {#each pages as { href, title } (href)}
            <DropdownMenu.Item>
              {#snippet child({ props })}
                <a
                  {...props}
                  class="block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
                  {href}>{title}</a
                >
              {/snippet}
            </DropdownMenu.Item>
          {/each}
          <DropdownMenu.Item
            class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
            onSelect={() => settings.toggleTheme()}
          >
            {settings.theme === 'night' ? 'Daylight' : 'Night shift'}
          </DropdownMenu.Item>
          <DropdownMenu.Item
            class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
            onSelect={openKeys}
          >
            Keys
          </DropdownMenu.Item>
          <DropdownMenu.Item
            class="cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
            onSelect={signOut}
          >
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  </div>
</header>
