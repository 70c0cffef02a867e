<!-- One of those who may come in: role, how far it has come, a link, and the lock. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { createAsk } from '$lib/data/write.svelte'
  import LinkSheet from './LinkSheet.svelte'
  import { linkFor, lockAccount, type Account } from './people'

  let { it }: { it: Account } = $props()
  let linking = $state(false)
  const locking = createAsk((locked: boolean) => lockAccount(it.account.id, locked))
  const stands = $derived(it.locked ? 'locked' : it.begun ? 'can come in' : 'not begun: show a link')
</script>

<li class="grid gap-x-5 gap-y-1 border-b border-hairline py-2 sm:grid-cols-[1fr_auto]" data-account={it.account.name}>
  <div>
    <p class="text-lg">
      <span class="font-semibold">{it.account.name}</span> · {it.account.role_name}
      <span class="text-faded">· {stands}</span>
    </p>
    <p class="text-faded">{it.golfer ? `${it.golfer}: ` : ''}{it.role_says}</p>
    {#if locking.error}<Trouble error={locking.error} />{/if}
  </div>
  <div class="flex flex-wrap items-center gap-2">
    <button class="button min-h-11" disabled={it.locked} onclick={() => (linking = true)}
      >{it.begun ? 'New link…' : 'Show a link…'}</button
    >
    <button class="button min-h-11" disabled={locking.isPending} onclick={() => locking.mutate(!it.locked)}
      >{it.locked ? 'Let in again' : 'Lock out'}</button
    >
  </div>
</li>
{#if linking}
  <LinkSheet bind:open={linking} title="A link for {it.account.name}" make={() => linkFor(it.account.id)}>
    {#snippet says(until)}
      Held before the camera of {it.account.name}’s device it opens the page where a passphrase is chosen. It is good
      once, until {day(until)}; links made before it are good no more.
    {/snippet}
  </LinkSheet>
{/if}
