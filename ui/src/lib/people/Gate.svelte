<!-- Lets in whoever is signed in, or everybody where nobody has to be; else the page to come in by stands here. -->
<script lang="ts">
  import { untrack, type Snippet } from 'svelte'
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import SignIn from './SignIn.svelte'
  import { settings } from '$lib/base/settings.svelte'
  import { prefer, sessionQuery } from './session'

  interface Props {
    /** Who is signed in; empty where nobody has to be. */
    who: string
    children: Snippet
  }
  let { who = $bindable(), children }: Props = $props()
  const session = sessionQuery()
  const told = $derived(session.data)
  const name = 'libella.signed'
  /** As it was last: where nobody has to sign in, no page waits to hear it again. */
  const before = (() => {
    try {
      return localStorage.getItem(name) === 'must'
    } catch {
      return false
    }
  })()
  $effect(() => {
    who = told?.must ? (told.account?.name ?? '') : ''
    try {
      if (told) localStorage.setItem(name, told.must ? 'must' : '')
    } catch {
      // A device that forbids storage asks each time.
    }
  })
  // Light and units go with the person: taken over when somebody comes in, told when they are changed.
  let known = ''
  let liked = ''
  $effect(() => {
    const mine = told?.account
    if (!mine) {
      known = ''
      return
    }
    if (mine.id !== known) {
      known = mine.id
      untrack(() => settings.adopt(mine.preferences))
      liked = untrack(() => JSON.stringify(settings.told))
    }
    const now = JSON.stringify(settings.told)
    if (now === liked) return
    liked = now
    void prefer(settings.told)
  })
  const welcome = $derived(page.url.pathname === '/welcome')
  const open = $derived(told ? !told.must || Boolean(told.account) : !before)
</script>

{#if open || welcome}
  {@render children()}
{:else if told}
  <SignIn studio={told.studio} />
{:else}
  <Coming page what="Libella" />
{/if}
