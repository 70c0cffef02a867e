<!-- What this device keeps is closed: the passphrase opens it, with or without a network. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { vault } from '$lib/away/vault.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import ByPasskey from './ByPasskey.svelte'
  import { openHere, passkeysHere } from './passkeys'
  import { openDevice, signIn, signOut } from './session'

  interface Props {
    /** Who is signed in; empty where that is not known, for want of a network. */
    name: string
    /** Whoever is signed in keeps nothing here yet. */
    fresh: boolean
  }
  let { name, fresh }: Props = $props()
  let passphrase = $state('')
  let wrong = $state(false)
  let sure = $state(false)
  const opening = createAsk(async () => {
    wrong = false
    if (fresh) await signIn(name, passphrase)
    else wrong = !(await openDevice(passphrase))
  })
  const passkey = $derived(!fresh && vault.passkeys.length > 0 && passkeysHere())
  const whose = $derived(name || vault.name)
  const unsent = $derived(outbox.closed === 1 ? '1 entry' : `${outbox.closed ?? 0} entries`)
</script>

<div class="mx-auto max-w-md px-5 py-10" data-open-device>
  <h1 class="wide text-3xl">{whose}</h1>
  <p class="mt-2 text-lg leading-snug">
    What this device keeps of your golfers is closed by your passphrase{passkey ? ', and by your passkey' : ''}. It
    opens without a network, too.
    {#if outbox.closed}<b
        >{unsent} made here did not reach Libella yet: {outbox.closed === 1 ? 'it is' : 'they are'} sent once this is open.</b
      >{/if}
  </p>
  <form
    class="mt-5 grid gap-4"
    onsubmit={(event) => {
      event.preventDefault()
      opening.mutate(undefined)
    }}
  >
    <!-- For what keeps passphrases: whose it is. -->
    <input class="hidden" autocomplete="username" value={whose} readonly tabindex="-1" aria-hidden="true" />
    <label
      ><span class="label">Passphrase</span>
      <input
        class="entry text-lg"
        type="password"
        bind:value={passphrase}
        autocomplete="current-password"
        maxlength="200"
        required
      /></label
    >
    {#if wrong}<p class="font-semibold text-danger" role="alert">
        That is not the passphrase this device was closed by. If you have another one since, the one before opens it.
      </p>{/if}
    {#if opening.error}<Trouble error={opening.error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={opening.isPending}
      >{opening.isPending ? 'Opening…' : 'Open'}</button
    >
    {#if passkey}<ByPasskey words="Open by passkey" run={openHere} />{/if}
    <button class="button plain min-h-11" type="button" onclick={() => (sure ? void signOut() : (sure = true))}
      >{sure ? 'Throw it away and sign out' : 'I can’t open it'}</button
    >
    {#if sure}<p class="leading-snug" role="alert">
        Whatever this device keeps goes for good{outbox.closed ? `, ${unsent} that were not sent with it` : ''}. What
        reached Libella is there still.
      </p>{/if}
  </form>
</div>
