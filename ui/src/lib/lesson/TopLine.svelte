<!-- The top line: where I am, the light, the units, and whether everything is saved. -->
<script lang="ts">
  import Demo from '$lib/base/Demo.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { settings } from '$lib/base/settings.svelte'
  import { net } from '$lib/away/net.svelte'
  import { moment } from '$lib/base/dates'
  import { keys, keySheet } from '$lib/base/keys.svelte'
  import { page } from '$app/state'
  import { chapter, place } from '$lib/base/place.svelte'
  import { isGolfers, sessionQuery } from '$lib/people/session'

  interface Props {
    convert: () => void
    /** Who is signed in, where somebody has to be. */
    who: string
  }
  let { convert, who }: Props = $props()
  /** Whoever signs in as a golfer records nothing, and converts nothing. */
  const session = sessionQuery()
  const golfers = $derived(isGolfers(session.data))

  $effect(() =>
    keys.add('Everywhere', () => [
      { key: '?', words: 'Show the keys and words', run: () => (keySheet.open = true) },
      ...(golfers ? [] : [{ key: '=', words: 'Convert an angle', run: convert }]),
      { key: 'l', words: 'Daylight or dim', run: turn }
    ])
  )
  const turn = () => (settings.light = settings.light === 'dim' ? 'daylight' : 'dim')
  const light = $derived(settings.light === 'dim' ? 'Dim' : 'Daylight')
  /** What is closed on this device waits, too. */
  const waiting = $derived(outbox.waiting.length + (outbox.closed ?? 0))
  const link = $derived(
    outbox.refused.length
      ? `${outbox.refused.length} refused`
      : outbox.keeping
        ? 'keeping'
        : waiting
          ? `${waiting} waiting${outbox.stranger ? ' for a sign-in' : ''}`
          : net.gone
            ? 'no network'
            : 'saved'
  )
  const said = $derived(
    net.asOf
      ? `No network: what shows is as of ${moment(net.asOf.toISOString())}.`
      : outbox.reached && !waiting
        ? 'Everything tapped is kept on the server.'
        : 'No answer from the server; trying again.'
  )
</script>

<header class="flex h-12 shrink-0 items-center gap-3 max-sm:gap-1.5 border-b border-hairline px-3 text-[15px]">
  <a href="/" class="flex h-11 shrink-0 items-center gap-2 pr-1 font-bold" aria-label="Libella: today">
    <svg width="34" height="18" viewBox="0 0 34 18" aria-hidden="true">
      <rect x="1" y="1" width="32" height="16" rx="8" fill="var(--fluid)" stroke="var(--ink)" stroke-width="1.5" />
      <path d="M11.5 1v16M22.5 1v16" stroke="var(--ink)" stroke-width="1.5" />
      <ellipse cx="17.6" cy="8.4" rx="3.9" ry="3.7" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.4" />
    </svg>
    <span class="wide hidden sm:inline">Libella</span>
  </a>
  <nav class="flex min-w-0 flex-1 items-center gap-2" aria-label="Where I am">
    {#each place.trail as step, n (n)}
      {#if n}<span class="text-engraved {n === 1 ? 'max-sm:hidden' : ''}" aria-hidden="true">·</span>{/if}
      {#if step.href}
        <a
          class="flex h-11 min-w-11 items-center hover:underline {!n && place.trail.length > 1 ? 'max-sm:hidden' : ''}"
          href={step.href}><span class="truncate">{step.words}</span></a
        >
      {:else}
        <span class="min-w-0 truncate {!n && place.trail.length > 1 ? 'max-sm:hidden' : ''}">{step.words}</span>
      {/if}
    {/each}
    {#if place.invented}<Demo />{/if}
  </nav>
  {#if who}<a class="button plain max-w-40 shrink-0 truncate max-sm:hidden" href="/me" data-who>{who}</a>{/if}
  <span class="sr-only" role="status">{link}</span>
  {#if !golfers}<a
      class="flex h-11 min-w-11 shrink-0 items-center justify-center hover:underline"
      href="/away"
      title={said}
      data-link={link}
    >
      {#if outbox.refused.length}
        <span class="font-semibold text-danger">! {link}</span>
      {:else}
        <span class:font-semibold={waiting}
          >{link === 'saved' ? '●' : '◌'}
          {#if link === 'saved'}<span class="sr-only sm:hidden">saved</span><span class="max-sm:hidden">saved</span
            >{:else}{link}{/if}</span
        >
      {/if}
    </a>{/if}
  <button
    class="button plain shrink-0 max-sm:px-2"
    onclick={() => (settings.units = settings.units === 'metric' ? 'feet' : 'metric')}
    aria-label="{settings.units === 'metric' ? 'm' : 'ft'}: change the units"
  >
    {settings.units === 'metric' ? 'm' : 'ft'}
  </button>
  {#if !golfers}<button class="button plain shrink-0 max-sm:px-2" onclick={convert} aria-label="Convert an angle"
      >∠</button
    >{/if}
  <button class="button plain shrink-0 max-sm:px-2" onclick={turn} aria-label="{light}: change the light">
    <span aria-hidden="true">{settings.light === 'dim' ? '☾' : '☀'}</span><span class="hidden desk:inline">{light}</span
    >
  </button>
  <a
    class="button plain shrink-0 max-sm:px-2"
    href="/guide#{chapter(page.url.pathname)}"
    aria-label="Help with this screen">?</a
  >
</header>
