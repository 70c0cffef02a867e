<script lang="ts">
  import '../app.css'
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query'
  import type { Snippet } from 'svelte'
  import { Refusal } from '$lib/data/client'
  import { keys } from '$lib/base/keys.svelte'
  import KeySheet from '$lib/base/KeySheet.svelte'
  import RefusedLetters from '$lib/base/RefusedLetters.svelte'
  import TopLine from '$lib/lesson/TopLine.svelte'

  let { children }: { children: Snippet } = $props()

  const client = new QueryClient({
    defaultOptions: {
      queries: {
        // What the server says no to stays no; silence is asked again.
        retry: (tries, error) => tries < 3 && !(error instanceof Refusal && error.problem.status in { 404: 1, 409: 1, 422: 1 }),
        retryDelay: (tries) => 500 * (tries + 1),
        networkMode: 'always',
        staleTime: 1000,
      },
    },
  })
  let help = $state(false)
</script>

<svelte:window onkeydown={(event) => keys.press(event)} onpointerdown={() => keys.touched()} />

<QueryClientProvider {client}>
  <div class="flex h-dvh flex-col">
    <TopLine help={() => (help = true)} />
    <RefusedLetters />
    <main class="min-h-0 flex-1 overflow-y-auto">
      {@render children()}
    </main>
  </div>
  <KeySheet bind:open={help} />
</QueryClientProvider>
