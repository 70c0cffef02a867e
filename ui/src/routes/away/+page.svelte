<!-- Without a network: what was taken along, what waits to be sent, what was refused and why, and the room that is left. -->
<script lang="ts">
  import { onMount } from 'svelte'
  import { day } from '$lib/away/day.svelte'
  import { net } from '$lib/away/net.svelte'
  import { moment } from '$lib/base/dates'
  import { place } from '$lib/base/place.svelte'
  import { outbox } from '$lib/data/outbox.svelte'

  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Without a network' }], false))
  /** Pages open without a network only where the browser keeps the program. */
  let opens = $state(true)
  let room = $state<{ used_mb: number; left_mb: number; lasting: boolean } | null>(null)
  const MB = 1024 * 1024
  async function look(): Promise<void> {
    opens = Boolean(await navigator.serviceWorker?.getRegistration())
    const told = await navigator.storage?.estimate?.()
    if (!told) return
    const { usage = 0, quota = 0 } = told
    const lasting = (await navigator.storage.persisted?.()) ?? false
    room = { used_mb: usage / MB, left_mb: (quota - usage) / MB, lasting }
  }
  onMount(() => {
    void look()
    void navigator.serviceWorker?.ready.then(look)
  })
  $effect(() => {
    if (!day.running) void look()
  })
  const madeAt = (id: string) => moment(new Date(parseInt(id.replaceAll('-', '').slice(0, 12), 16)).toISOString())
  const size = (mb: number) =>
    mb < 10 ? `${mb.toFixed(1)} MB` : mb < 2000 ? `${mb.toFixed(0)} MB` : `${(mb / 1024).toFixed(0)} GB`
</script>

<svelte:head><title>Without a network · Libella</title></svelte:head>

<div class="mx-auto max-w-[720px] px-5 py-6" data-away>
  <h1 class="wide text-3xl">Without a network</h1>

  <section class="mt-4">
    {#if !opens}
      <p class="text-lg leading-snug">
        This browser does not keep the program, as it does not trust the certificate of this address, or this page was
        just opened for the first time. While the network is there everything works; without it no page opens.
        <a class="underline" href="/trust">Make this device ready…</a>
      </p>
    {:else if day.running}
      <p class="text-lg" role="status">Taking the day along: {day.done} of {day.of || '…'}</p>
      <progress class="mt-2 h-3 w-full" value={day.done} max={day.of || 1}></progress>
    {:else if day.at}
      <p class="text-lg leading-snug" data-taken>
        Taken along {moment(day.at.toISOString())}: the lessons and golfers of the day and the last twenty, the kept
        stations and the guide open without a network.
      </p>
    {:else}
      <p class="text-lg leading-snug" data-taken>
        Nothing was taken along yet in these units: what you have looked at opens without a network, and nothing else.
      </p>
    {/if}
    {#if net.gone}<p class="mt-2 font-semibold" data-net>
        There is no network now. {net.asOf ? `What shows is as of ${moment(net.asOf.toISOString())}.` : ''}
      </p>{/if}
    {#if opens}
      <p class="mt-3">
        <button class="button min-h-12" disabled={day.running} onclick={() => day.fetch()}
          >{day.at ? 'Take it along again' : 'Take the day along'}</button
        >
      </p>
      {#if day.missed && !day.running}<p class="mt-2 font-semibold" role="alert">
          {day.missed === 1 ? 'One answer' : `${day.missed} answers`} did not come. Try again while the network is there.
        </p>{/if}
    {/if}
  </section>

  <h2 class="wide mt-8 text-xl">Waiting to be sent</h2>
  <ul class="mt-1 border-t-2 border-ink" aria-label="Waiting to be sent">
    {#each outbox.waiting as it (it.id)}
      <li class="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-2">
        <span class="min-w-0 flex-1">{it.words}</span>
        <span class="text-faded">{madeAt(it.id)}</span>
      </li>
    {:else}
      <li class="py-2 text-faded">Nothing: everything tapped on this device is kept in Libella.</li>
    {/each}
  </ul>
  {#if outbox.waiting.length}<p class="mt-2 leading-snug text-faded">
      {outbox.stranger
        ? 'It is sent as soon as you have signed in.'
        : 'It is sent by itself, in this order, as soon as the network is there. Closing the page loses nothing.'}
    </p>{/if}

  <h2 class="wide mt-8 text-xl">Refused</h2>
  <ul class="mt-1 border-t-2 border-ink" aria-label="Refused">
    {#each outbox.refused as it (it.id)}
      <li class="border-b border-hairline py-2">
        <p class="flex flex-wrap items-baseline gap-x-4">
          <span class="min-w-0 flex-1 font-semibold">{it.words}</span><span class="text-faded">{madeAt(it.id)}</span>
        </p>
        <p class="leading-snug">{it.refused?.detail} {it.refused?.remedy}</p>
      </li>
    {:else}
      <li class="py-2 text-faded">Nothing was refused.</li>
    {/each}
  </ul>

  {#if room}
    <h2 class="wide mt-8 text-xl">Room on this device</h2>
    <p class="mt-1 leading-snug" data-room>
      {size(room.used_mb)} used, {size(room.left_mb)} left.
      {room.lasting
        ? 'The browser keeps it until you clear it.'
        : 'The browser may clear it when this device runs out of room: installed as an app it is kept.'}
    </p>
  {/if}
</div>
