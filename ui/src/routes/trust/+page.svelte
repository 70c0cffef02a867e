<!-- Open it on another device: its address as a picture, how that device comes to trust it, and what goes without. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import LinkPicture from '$lib/people/LinkPicture.svelte'
  import { KINDS } from '$lib/people/ready'
  import { frontQuery } from '$lib/people/session'
  import StepDrawn from '$lib/people/StepDrawn.svelte'

  $effect(() => place.set([{ words: 'Today', href: '/' }, { words: 'Another device' }], false))
  const front = frontQuery()
  const told = $derived(front.data)
  let code = $state<string>('profiles')
  const kind = $derived(KINDS.find((it) => it.code === code))
  /** In lines short enough for a phone, to be compared one by one. */
  const print = $derived(told?.fingerprint?.match(/.{1,24}/g) ?? [])
</script>

<svelte:head><title>Open it on another device · Libella</title></svelte:head>

<div class="mx-auto max-w-[860px] px-5 py-6" data-trust-page>
  <h1 class="wide text-3xl">Open it on another device</h1>
  {#if front.error}
    <div class="mt-4"><Trouble error={front.error} again={() => front.refetch()} /></div>
  {:else if !told}
    <Coming what="How it is opened" />
  {:else if told.vouches === 'nobody'}
    <p class="mt-2 max-w-prose text-lg leading-snug" data-here-alone>
      Started by ./demo, Libella is there for this machine alone: no other device can open it. Started by ./serve it is
      there for every tablet and phone on the floor, and this page shows how.
    </p>
  {:else}
    <div class="mt-4 flex flex-wrap items-start gap-6">
      {#if told.picture}<LinkPicture picture={told.picture} alt="The address, for a camera" />{/if}
      <div class="min-w-64 flex-1">
        <p class="text-lg leading-snug">Hold the tablet’s or phone’s camera before it, or type:</p>
        <ul class="mt-2" aria-label="Addresses">
          {#each told.addresses as it (it)}<li class="text-xl font-semibold break-all select-all">{it}</li>{/each}
        </ul>
        <p class="mt-2 leading-snug text-faded">It has to be on the same network as this one.</p>
      </div>
    </div>
    {#if told.vouches === 'public'}
      <p class="mt-6 text-lg leading-snug">
        Its certificate is a public authority’s: nothing else has to be done on a device.
      </p>
    {:else}
      <h2 class="wide mt-8 text-2xl">Make the device ready</h2>
      <p class="mt-1 max-w-prose leading-snug">
        On a local network Libella vouches for itself, and a browser warns of that until the device trusts its
        authority. It is done once on each device, on that device.
      </p>
      <p class="mt-3 flex flex-wrap items-center gap-4">
        <a class="button primary inline-flex min-h-14 items-center px-5 text-lg" href="/api/front/authority" download
          >Take the certificate</a
        >
        <span class="leading-snug"
          ><span class="label">Its SHA-256 print, as the terminal said it</span>
          <code class="grid text-[14px] sm:grid-cols-2 sm:gap-x-3" data-print
            >{#each print as it, n (n)}<span>{it.replace(/:$/, '')}</span>{/each}</code
          ></span
        >
      </p>
      <div class="mt-5">
        <Choice
          label="What kind of device it is"
          options={KINDS.map((it) => ({ value: it.code, words: it.name }))}
          bind:value={code}
        />
      </div>
      <ol class="mt-3 border-t-2 border-ink" aria-label="Step by step" data-steps>
        {#each kind?.steps ?? [] as step, n (step.words)}
          <li class="flex items-center gap-4 border-b border-hairline py-3">
            <span class="wide w-7 shrink-0 text-2xl">{n + 1}</span>
            <StepDrawn drawn={step.drawn} />
            <span class="text-lg leading-snug">{step.words}</span>
          </li>
        {/each}
      </ol>
      <h2 class="wide mt-8 text-xl">What goes without that</h2>
      <ul class="mt-1 max-w-prose list-disc pl-5 leading-snug">
        <li>The browser warns each time; past the warning everything goes by TLS all the same.</li>
        <li>You sign in by your passphrase, and record while the network is there.</li>
        <li>What you tap while it is away for a moment is kept, and sent when it is back.</li>
        <li>No page opens without a network: the browser keeps no program of an address it does not trust.</li>
      </ul>
    {/if}
  {/if}
</div>
