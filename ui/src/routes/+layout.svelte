<script lang="ts">
  import '../app.css'
  import { QueryClientProvider } from '@tanstack/svelte-query'
  import { onMount, type Snippet } from 'svelte'
  import { beforeNavigate } from '$app/navigation'
  import { kept } from '$lib/away/kept'
  import { net } from '$lib/away/net.svelte'
  import { atHand } from '$lib/away/worker'
  import { cache } from '$lib/data/cache'
  import { keys, keySheet } from '$lib/base/keys.svelte'
  import KeySheet from '$lib/base/KeySheet.svelte'
  import RefusedLetters from '$lib/base/RefusedLetters.svelte'
  import Converter from '$lib/keep/Converter.svelte'
  import Prove from '$lib/people/Prove.svelte'
  import TermSheet from '$lib/base/TermSheet.svelte'
  import TopLine from '$lib/lesson/TopLine.svelte'
  import Gate from '$lib/people/Gate.svelte'

  let { children }: { children: Snippet } = $props()

  let converting = $state(false)
  let who = $state('')
  let online = $state(true)
  // Pages are fetched ahead while there is somebody to fetch them from.
  $effect(() => {
    document.body.dataset.sveltekitPreloadCode = online && !net.gone ? 'viewport' : 'false'
  })
  /** A new version has taken over: the next page is loaded anew. */
  let renewed = false
  onMount(() => {
    atHand(() => (renewed = true))
    void kept.tidy()
    const back = () => void cache.invalidateQueries()
    addEventListener('online', back)
    return () => removeEventListener('online', back)
  })
  beforeNavigate(({ willUnload, to, cancel }) => {
    if (!renewed || willUnload || !to?.url) return
    cancel()
    location.href = to.url.href
  })
</script>

<svelte:window bind:online onkeydown={(event) => keys.press(event)} onpointerdown={() => keys.touched()} />

<QueryClientProvider client={cache}>
  <div class="flex h-dvh flex-col">
    <TopLine convert={() => (converting = true)} {who} />
    <RefusedLetters />
    <main class="min-h-0 flex-1 overflow-y-auto">
      <Gate bind:who>{@render children()}</Gate>
    </main>
  </div>
  <KeySheet bind:open={keySheet.open} />
  <TermSheet />
  <Prove />
  <Converter bind:open={converting} />
</QueryClientProvider>
