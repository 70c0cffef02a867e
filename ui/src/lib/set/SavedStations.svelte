<!-- Stations kept under a name: use one, keep this one, share one as a file, read one back. -->
<script lang="ts">
  import { createInfiniteQuery, useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { renew } from '$lib/data/queries.svelte'
  import { laidPart, type Plan } from './plan'
  import { settings } from '$lib/base/settings.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  interface Props {
    /** The station as it stands on the stage; null while it can't be laid. */
    plan: Plan | null
    use: (station: Plan) => void
  }
  let { plan, use }: Props = $props()

  const client = useQueryClient()
  let open = $state(false)
  let search = $state('')
  let name = $state('')
  let error = $state<unknown>(null)
  let gone = $state<Shapes['SavedOut'] | null>(null)
  const units = $derived({ query: { units: settings.units } })

  const saved = createInfiniteQuery(() => ({
    queryKey: ['saved', search, settings.units],
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/saved-stations', { params: { query: { q: search, after: pageParam, units: settings.units } } })),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    enabled: open,
    placeholderData: (before) => before,
  }))
  const rows = $derived(saved.data?.pages.flatMap((it) => it.items) ?? [])

  async function say(asked: () => Promise<unknown>): Promise<boolean> {
    error = null
    try {
      await asked()
      await renew(client, ['saved'])
      return true
    } catch (problem) {
      error = problem
      return false
    }
  }
  const put = (id: string, title: string, laid: Plan) =>
    ask(api.PUT('/api/saved-stations/{id}', { params: { path: { id }, ...units }, body: { ...laidPart(laid), name: title } }))
  async function keep(event: SubmitEvent): Promise<void> {
    event.preventDefault()
    if (plan && (await say(() => put(v7(), name, plan)))) name = ''
  }
  async function putAway(it: Shapes['SavedOut']): Promise<void> {
    if (await say(() => ask(api.DELETE('/api/saved-stations/{id}', { params: { path: { id: it.id }, ...units } })))) gone = it
  }
  async function bringBack(): Promise<void> {
    const id = gone?.id
    if (id && (await say(() => ask(api.PUT('/api/saved-stations/{id}/back', { params: { path: { id }, ...units } }))))) gone = null
  }
  async function readFile(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const input = event.currentTarget
    const file = input.files?.[0]
    if (!file) return
    await say(async () => {
      let document: Record<string, unknown>
      try {
        document = JSON.parse(await file.text()) as Record<string, unknown>
      } catch {
        throw new Error(`${file.name} is not JSON; nothing was kept.`)
      }
      const found = await ask(api.POST('/api/saved-stations/read', { params: units, body: { document } }))
      await put(v7(), found.name, found)
    })
    input.value = ''
  }
</script>

<button class="button" type="button" onclick={() => (open = true)}>Kept stations…</button>

<Sheet bind:open title="Kept stations">
  <form onsubmit={keep} class="flex gap-2">
    <input class="entry" aria-label="Name for the station as it stands" placeholder="name for the station as it stands" bind:value={name} maxlength="80" required />
    <button class="button shrink-0" disabled={!plan}>Keep it</button>
  </form>
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
  {#if gone}
    <p class="mt-3 flex items-center justify-between gap-2">“{gone.name}” was put away. <button class="button" type="button" onclick={bringBack}>Bring it back</button></p>
  {/if}
  <input class="entry mt-4" type="search" placeholder="Find by name" aria-label="Find a kept station" bind:value={search} />
  {#if saved.data && !rows.length}
    <p class="mt-3">{search ? `No kept station is called “${search}”.` : 'None yet. Name the one on the stage and keep it, or read one from a file.'}</p>
  {/if}
  <ul aria-label="Kept stations">
    {#each rows as it (it.id)}
      <li class="flex flex-wrap items-center gap-2 border-b border-hairline py-2">
        <span class="min-w-0 flex-1">
          <span class="block truncate font-bold">{it.name}</span>
          <span class="block text-sm text-faded">{it.words}</span>
        </span>
        <button
          class="button"
          type="button"
          aria-label="Use {it.name}"
          onclick={() => {
            use(it)
            open = false
          }}>Use</button
        >
        <button class="button plain px-2" type="button" aria-label="Copy {it.name}" onclick={() => say(() => put(v7(), `${it.name.slice(0, 73)}, copy`, it))}>Copy</button>
        <a class="button plain px-2" href="/api/saved-stations/{it.id}/file" download="{it.name}.json" aria-label="File of {it.name}">File</a>
        <button class="button plain px-2" type="button" aria-label="Put away {it.name}" onclick={() => putAway(it)}>Put away</button>
      </li>
    {/each}
  </ul>
  {#if saved.hasNextPage}
    <button class="button mt-2 w-full" type="button" onclick={() => saved.fetchNextPage()}>More</button>
  {/if}
  <label class="mt-4 block">
    <span class="label">Read one from a file</span>
    <input class="entry" type="file" accept="application/json,.json" onchange={readFile} />
  </label>
</Sheet>
