<!-- Who may come in, and who did what: for the owner. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import { moment } from '$lib/base/dates'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import AccountRow from '$lib/people/AccountRow.svelte'
  import AddPerson from '$lib/people/AddPerson.svelte'
  import KeptFor from '$lib/people/KeptFor.svelte'
  import Studio from '$lib/people/Studio.svelte'
  import Screens from '$lib/people/Screens.svelte'
  import { accountsQuery, deedsQuery } from '$lib/people/people'
  import { sessionQuery } from '$lib/people/session'

  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'People' }], false))
  const accounts = accountsQuery()
  const deeds = deedsQuery()
  const session = sessionQuery()
  const done = $derived(deeds.data?.pages.flatMap((it) => it.items) ?? [])
</script>

<svelte:head><title>People · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6" data-people>
  <h1 class="wide text-3xl">People</h1>
  <p class="mt-1 max-w-prose text-lg leading-snug">
    Who may come in, and what each may do. A link, shown to a camera, lets somebody choose a passphrase; a lost device
    or a person who left is locked out here.
  </p>
  <p class="mt-3"><a class="button inline-flex min-h-11 items-center" href="/trust">Open it on another device…</a></p>
  {#if session.data && !session.data.must}
    <p class="mt-2 max-w-prose leading-snug text-faded" data-open>
      Here nobody has to sign in: whoever is on this machine is its owner. Served with ./serve everybody does.
    </p>
  {/if}
  {#if accounts.error}
    <div class="mt-4"><Trouble error={accounts.error} again={() => accounts.refetch()} /></div>
  {:else if accounts.data}
    <ul class="mt-4 border-t-2 border-ink" aria-label="Who may come in">
      {#each accounts.data.accounts as it (it.account.id)}<AccountRow {it} />{:else}
        <li class="border-b border-hairline py-3">Nobody yet. The first to be added should be an owner.</li>
      {/each}
    </ul>
    <h2 class="wide mt-6 text-xl">Add somebody</h2>
    <AddPerson roles={accounts.data.roles} />
  {:else}
    <Coming what="Who may come in" />
  {/if}
  {#if session.data?.must}<Screens />{/if}
  <Studio />
  <KeptFor />
  <h2 class="wide mt-8 text-xl">Who did what</h2>
  {#if deeds.error}
    <Trouble error={deeds.error} again={() => deeds.refetch()} />
  {:else if done.length}
    <ol class="mt-2 border-t-2 border-ink" aria-label="Who did what, newest first">
      {#each done as it (it.id)}
        <li class="flex flex-wrap gap-x-4 border-b border-hairline py-2">
          <span class="w-44 shrink-0 text-faded tabular-nums">{moment(it.at)}</span>
          <span><b>{it.who}</b> {it.words}</span>
        </li>
      {/each}
    </ol>
    {#if deeds.hasNextPage}<button
        class="button mt-3 min-h-11"
        disabled={deeds.isFetchingNextPage}
        onclick={() => deeds.fetchNextPage()}>Earlier</button
      >{/if}
  {:else if deeds.data}
    <p class="mt-2">Nothing yet: what somebody who is signed in keeps, changes or takes away stands here.</p>
  {:else}
    <Coming what="Who did what" />
  {/if}
</div>
