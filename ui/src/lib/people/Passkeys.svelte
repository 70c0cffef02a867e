<!-- One's own passkeys: in place of the passphrase, on this device and on those that share them. -->
<script lang="ts">
  import { moment } from '$lib/base/dates'
  import Trouble from '$lib/base/Trouble.svelte'
  import { vault } from '$lib/away/vault.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import { dropPasskey, makePasskey, passkeysHere, passkeysQuery, type Passkey } from './passkeys'

  const passkeys = passkeysQuery()
  const making = createAsk(() => makePasskey())
  let sure = $state('')
  const dropping = createAsk(
    (it: Passkey) => dropPasskey(it),
    () => (sure = '')
  )
  const here = passkeysHere()
  const used = (it: Passkey) => (it.used_at ? `used ${moment(it.used_at)}` : 'not used yet')
</script>

<section data-passkeys>
  <h2 class="wide mt-8 text-xl">Passkeys</h2>
  <p class="mt-1 leading-snug">
    Your face, your finger or the device’s own code in place of the passphrase. Keep the passphrase: where there is no
    passkey it is still what lets you in.
  </p>
  {#if passkeys.error}<Trouble error={passkeys.error} again={() => passkeys.refetch()} />{/if}
  {#if passkeys.data?.length}
    <ul class="mt-2 border-t-2 border-ink" aria-label="Your passkeys">
      {#each passkeys.data as it (it.id)}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-hairline py-2">
          <span class="min-w-0 flex-1"
            ><span class="first-letter:uppercase">{it.device}</span>{#if it.host !== location.hostname}, at {it.host}{/if}<span
              class="block text-faded"
              >made {moment(it.made_at)}, {used(it)}{vault.passkeys.includes(it.credential)
                ? '; opens what this device keeps'
                : ''}</span
            ></span
          >
          <button
            class="button min-h-11"
            class:danger={sure === it.id}
            disabled={dropping.isPending}
            onclick={() => (sure === it.id ? dropping.mutate(it) : (sure = it.id))}
            >{sure === it.id ? 'Nobody comes in by it any more' : 'Take it away'}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if making.error}<Trouble error={making.error} />{/if}
  {#if dropping.error}<Trouble error={dropping.error} />{/if}
  {#if here}
    <p class="mt-3">
      <button class="button min-h-12" disabled={making.isPending} onclick={() => making.mutate(undefined)}
        >{making.isPending ? 'Asking this device…' : 'Make one on this device'}</button
      >
    </p>
  {:else}
    <p class="mt-3 leading-snug text-faded">
      There can be none here: browsers make passkeys for a name whose certificate they trust, not for a number.
      <a class="underline" href="/trust">Make this device ready</a>.
    </p>
  {/if}
</section>
