<!-- Lets in whoever is signed in, or everybody where nobody has to be; else the page to come in by stands here. -->
<script lang="ts">
  import type { Snippet } from 'svelte'
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import SignIn from './SignIn.svelte'
  import { sessionQuery } from './session'

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
