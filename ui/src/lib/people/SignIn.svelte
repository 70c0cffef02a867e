<!-- Come in by name and passphrase, or by one of the codes that were written down. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import Codes from './Codes.svelte'
  import Losing from './Losing.svelte'
  import ByPasskey from './ByPasskey.svelte'
  import { signed, type Signed } from './passkeys'
  import { goIn, lostTo, lostToAccount, recover, signIn, signInBy } from './session'

  let { studio }: { studio: string } = $props()
  let name = $state('')
  let passphrase = $state('')
  let code = $state('')
  let forgotten = $state(false)
  let codes = $state<string[]>([])
  const entering = createAsk(() => signIn(name, passphrase))
  const recovering = createAsk(
    () => recover(name, code, passphrase),
    (it) => (codes = it.codes)
  )
  /** What a passkey signed, while it is asked whether something may be lost by it. */
  let given = $state.raw<Signed | null>(null)
  const byPasskey = async () => {
    // What was signed waits a few minutes at most: where it is refused the device is asked anew.
    const [sure, told] = [given, given ?? (await signed())]
    given = !sure && lostToAccount(told.account) ? told : null
    if (!given) await signInBy(told)
  }
  /** For whom it was said that something would be lost. */
  let warned = $state<{ name: string; forgotten: boolean } | null>(null)
  const lost = $derived(lostTo(name, forgotten))
  const asked = $derived(lost > 0 && warned?.name === name && warned.forgotten === forgotten)
  const enter = (event: SubmitEvent) => {
    event.preventDefault()
    if (lost && !asked) {
      warned = { name, forgotten }
      return
    }
    if (forgotten) recovering.mutate(undefined)
    else entering.mutate(undefined)
  }
  const trouble = $derived(forgotten ? recovering.error : entering.error)
  const busy = $derived(entering.isPending || recovering.isPending)
</script>

<div class="mx-auto max-w-md px-5 py-10">
  {#if codes.length}
    <Codes {codes} done={goIn} />
  {:else}
    <h1 class="wide text-3xl">{studio}</h1>
    <form class="mt-5 grid gap-4" onsubmit={enter} data-sign-in>
      <label
        ><span class="label">Name</span>
        <input class="entry text-lg" bind:value={name} autocomplete="username" maxlength="80" required /></label
      >
      {#if forgotten}
        <label
          ><span class="label">One of the codes you wrote down</span>
          <input class="entry text-lg" bind:value={code} autocomplete="one-time-code" maxlength="40" required /></label
        >
      {/if}
      <label
        ><span class="label">{forgotten ? 'A new passphrase' : 'Passphrase'}</span>
        <input
          class="entry text-lg"
          type="password"
          bind:value={passphrase}
          autocomplete={forgotten ? 'new-password' : 'current-password'}
          maxlength="200"
          required
        /></label
      >
      {#if asked}<Losing {lost} />{/if}
      {#if trouble}<Trouble error={trouble} />{/if}
      <button class="button min-h-14 text-lg" class:primary={!asked} disabled={busy}
        >{busy
          ? 'Looking…'
          : asked
            ? lost === 1
              ? 'Lose it, and sign in'
              : 'Lose them, and sign in'
            : 'Sign in'}</button
      >
      {#if !forgotten}
        {#if given}<Losing lost={lostToAccount(given.account)} />{/if}
        <ByPasskey words={given ? 'Lose what was not sent, and sign in' : 'Sign in by passkey'} run={byPasskey} />
      {/if}
      <button class="button plain min-h-11" type="button" onclick={() => (forgotten = !forgotten)}
        >{forgotten ? 'I know my passphrase' : 'I forgot it: use a code'}</button
      >
    </form>
    <p class="mt-4">
      Does the browser warn of this address, or nothing open without a network?
      <a class="underline" href="/trust">Make this device ready</a>.
    </p>
    <p class="mt-3 text-faded">
      No account, no passphrase and no code left? The owner of the studio shows you a link to come in by.
    </p>
  {/if}
</div>
