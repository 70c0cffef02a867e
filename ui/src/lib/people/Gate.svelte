<!-- Lets in whoever is signed in, or everybody where nobody has to be; else the page to come in by stands here. -->
<script lang="ts">
  import { untrack, type Snippet } from 'svelte'
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import { day } from '$lib/away/day.svelte'
  import { vault } from '$lib/away/vault.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import OpenDevice from './OpenDevice.svelte'
  import SignIn from './SignIn.svelte'
  import { settings } from '$lib/base/settings.svelte'
  import LockedOut from './LockedOut.svelte'
  import { isGolfers, prefer, sessionQuery, throwAway } from './session'

  interface Props {
    /** Who is signed in; empty where nobody has to be. */
    who: string
    children: Snippet
  }
  let { who = $bindable(), children }: Props = $props()
  const session = sessionQuery()
  const told = $derived(session.data)
  /** Nothing is closed where nobody has to sign in; else what this device keeps is opened first. */
  const mine = $derived(Boolean(told?.account && vault.isOf(told.account.id)))
  const opened = $derived(vault.state === 'plain' || (vault.state === 'open' && (mine || !told)))
  $effect(() => {
    who = told?.must ? (told.account?.name ?? '') : ''
    if (told) untrack(() => void vault.heard(told.must))
  })
  // Light and units go with the person: taken over when somebody comes in, told when they are changed.
  let whose = ''
  let liked = ''
  $effect(() => {
    const account = told?.account
    if (!account) {
      whose = ''
      return
    }
    if (account.id !== whose) {
      whose = account.id
      untrack(() => settings.adopt(account.preferences))
      liked = untrack(() => JSON.stringify(settings.told))
    }
    const now = JSON.stringify(settings.told)
    if (now === liked) return
    liked = now
    void prefer(settings.told)
  })
  /** To come in by a link, and how a device is made ready: before anybody is known there. */
  const open = $derived(['/welcome', '/trust', '/screen'].includes(page.url.pathname))
  /** A golfer has pages of his own, and is led there from everywhere else. */
  const golfers = $derived(isGolfers(told))
  const own = $derived(['mine', 'me', 'guide'].includes(page.url.pathname.split('/')[1] ?? ''))
  $effect(() => {
    if (golfers && !own && !open) void goto('/mine', { replaceState: true })
  })
  // A device that was locked out keeps nothing: neither what it had seen, nor what it had not sent.
  let lost = $state<number | null>(null)
  $effect(() => {
    if (!told?.locked_out || lost !== null) return
    lost = untrack(() => outbox.unsent)
    void throwAway()
  })
  // Where no worker holds the key a page that is loaded again asks for nothing, unless something waits to be read.
  $effect(() => {
    if (told && mine && vault.state === 'closed' && outbox.closed === 0 && !navigator.serviceWorker?.controller)
      untrack(() => void vault.goOn())
  })
  // Opened in the morning is enough for the day.
  $effect(() => (told && known && opened && !golfers ? day.soon() : undefined))
  const known = $derived(told ? !told.must || Boolean(told.account) : true)
</script>

{#if open || (known && opened && (own || !golfers))}
  {@render children()}
{:else if known && opened}
  <Coming page what="Your page" />
{:else if told && !known}
  {#if told.locked_out}<LockedOut lost={lost ?? 0} />{/if}
  <SignIn studio={told.studio} />
{:else if vault.state === 'closed' || (told?.account && vault.state !== 'unknown')}
  <OpenDevice name={told?.account?.name ?? ''} fresh={Boolean(told?.account) && !(vault.state === 'closed' && mine)} />
{:else}
  <Coming page what="Libella" />
{/if}
