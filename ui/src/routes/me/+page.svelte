<!-- One's own account: where it is signed in, another passphrase, leaving. -->
<script lang="ts">
  import { moment } from '$lib/base/dates'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import Codes from '$lib/people/Codes.svelte'
  import Passkeys from '$lib/people/Passkeys.svelte'
  import Passphrase from '$lib/people/Passphrase.svelte'
  import {
    changePassphrase,
    endSignIn,
    goIn,
    isGolfers,
    sessionQuery,
    signInsQuery,
    signOut
  } from '$lib/people/session'

  const session = sessionQuery()
  const signIns = signInsQuery()
  const me = $derived(session.data?.account)
  const first = $derived(isGolfers(session.data) ? { words: 'Yours', href: '/mine' } : { words: 'Today', href: '/' })
  $effect(() => place.set([first, { words: 'Your account' }], false))
  let now = $state('')
  let passphrase = $state('')
  let sure = $state(false)
  const changing = createAsk(
    () => changePassphrase(now, passphrase),
    () => (now = passphrase = '')
  )
  let gone = $state('')
  const ending = createAsk(
    ({ id, lost }: { id: string; lost: boolean }) => endSignIn(id, lost),
    () => (gone = '')
  )
  const leaving = createAsk((everywhere: boolean) => signOut(everywhere))
  const unsent = $derived(outbox.waiting.length + outbox.refused.length)
  const leave = (everywhere: boolean) => {
    if (unsent && !sure) sure = true
    else leaving.mutate(everywhere)
  }
</script>

<svelte:head><title>Your account · Libella</title></svelte:head>

<div class="mx-auto max-w-[720px] px-5 py-6" data-me>
  {#if changing.data}
    <Codes
      codes={changing.data.codes}
      done={async () => {
        changing.reset()
        await goIn()
      }}
    />
  {:else if me}
    <h1 class="wide text-3xl">{me.name}</h1>
    <p class="mt-1 text-lg">{me.role_name} in {session.data?.studio}</p>
    <div class="mt-4 flex flex-wrap gap-2">
      <button class="button min-h-12" onclick={() => leave(false)}>Sign out here</button>
      <button class="button min-h-12" onclick={() => leave(true)}>Sign out everywhere</button>
      {#if me.role === 'owner'}<a class="button min-h-12" href="/people">People…</a>{/if}
    </div>
    {#if sure}
      <p class="mt-2 font-semibold" role="alert">
        {unsent}
        {unsent === 1 ? 'entry' : 'entries'} of this device did not reach Libella yet. Signed out, they are lost for good.
        Tap again to sign out all the same.
      </p>
    {/if}
    {#if leaving.error}<Trouble error={leaving.error} />{/if}
    <h2 class="wide mt-8 text-xl">Signed in on</h2>
    {#if signIns.error}<Trouble error={signIns.error} again={() => signIns.refetch()} />{/if}
    {#if ending.error}<Trouble error={ending.error} />{/if}
    <ul class="mt-1 border-t-2 border-ink" aria-label="Where you are signed in">
      {#each signIns.data ?? [] as it (it.id)}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-hairline py-2">
          <span class="min-w-0 flex-1 first-letter:uppercase">{it.device}</span>
          <span class="text-faded">{it.here ? 'this one' : `seen ${moment(it.seen_at)}`}</span>
          {#if !it.here}
            <button class="button min-h-11" onclick={() => ending.mutate({ id: it.id, lost: false })}
              >Sign it out</button
            >
            <button
              class="button min-h-11"
              aria-expanded={gone === it.id}
              onclick={() => (gone = gone === it.id ? '' : it.id)}>It is lost…</button
            >
          {/if}
          {#if gone === it.id}
            <p class="basis-full border-l-4 border-danger pl-3 leading-snug">
              As soon as it has a network it throws away what it keeps, and what it had not sent is refused for good. If
              it made a passkey, take that away below, too.
              <button class="button danger mt-2 block min-h-11" onclick={() => ending.mutate({ id: it.id, lost: true })}
                >Lock it out</button
              >
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    <Passkeys />
    <h2 class="wide mt-8 text-xl">Another passphrase</h2>
    <form
      class="mt-2 grid gap-4"
      data-change-passphrase
      onsubmit={(event) => {
        event.preventDefault()
        changing.mutate(undefined)
      }}
    >
      <label
        ><span class="label">The one in use</span>
        <input
          class="entry"
          type="password"
          bind:value={now}
          autocomplete="current-password"
          maxlength="200"
          required
        /></label
      >
      <Passphrase bind:value={passphrase} label="The new one" />
      {#if changing.error}<Trouble error={changing.error} />{/if}
      <p class="text-faded">Every other device is signed out, and the codes you wrote down are replaced.</p>
      <p><button class="button primary min-h-12" disabled={changing.isPending}>Change it</button></p>
    </form>
  {:else if session.data}
    <h1 class="wide text-3xl">Your account</h1>
    <p class="mt-2 text-lg">Here nobody has to sign in: whoever is on this machine is its owner.</p>
    <p class="mt-3"><a class="button min-h-12" href="/people">People…</a></p>
  {/if}
</div>
