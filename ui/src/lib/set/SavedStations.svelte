<!-- Stations kept under a name: use one, keep this one, share one as a file, read one back. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { units } from '$lib/data/key'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import type { Plan } from './plan'
  import Stage from '$lib/drawing/Stage.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { savedQuery } from './queries.svelte'
  import { bringStationBack, putAwayStation, saveStation } from './writes'

  interface Props {
    /** The station as it stands on the stage; null while it can't be laid. */
    plan: Plan | null
    hand: Shapes['GolferBrief']['hand']
    use: (station: Plan) => void
  }
  let { plan, hand, use }: Props = $props()

  let open = $state(false)
  let search = $state('')
  let name = $state('')
  let gone = $state<Shapes['SavedOut'] | null>(null)
  const saved = savedQuery(
    () => search,
    () => open,
    () => hand
  )
  const rows = $derived(saved.data?.pages.flatMap((it) => it.items) ?? [])

  interface Named {
    title: string
    laid: Plan
  }
  const keeping = createWrite(({ title, laid }: Named) => saveStation(v7(), title, laid))
  let naming = $state('')
  const renaming = createWrite(({ id, title, laid }: Named & { id: string }) => saveStation(id, title, laid))
  const away = createWrite(
    (it: Shapes['SavedOut']) => putAwayStation(it.id),
    (_, it) => (gone = it)
  )
  const back = createWrite(
    (it: Shapes['SavedOut']) => bringStationBack(it.id),
    () => (gone = null)
  )
  const reading = createAsk(
    async (file: File) => {
      let document: Record<string, unknown>
      try {
        document = JSON.parse(await file.text()) as Record<string, unknown>
      } catch {
        throw new Error(`${file.name} is not JSON; nothing was kept.`)
      }
      return ask(api.POST('/api/saved-stations/read', { params: { query: units() }, body: { document } }))
    },
    (found) => keeping.mutate({ title: found.name, laid: found })
  )
  const error = $derived(firstError([keeping, renaming, away, back, reading]))

  function keep(event: SubmitEvent): void {
    event.preventDefault()
    if (plan) keeping.mutate({ title: name, laid: plan }, { onSuccess: () => (name = '') })
  }
  function readFile(input: HTMLInputElement): void {
    const file = input.files?.[0]
    if (file) reading.mutate(file)
    input.value = ''
  }
</script>

<button class="button" type="button" onclick={() => (open = true)}>Kept stations…</button>

<Sheet bind:open title="Kept stations">
  <form onsubmit={keep} class="flex gap-2">
    <input
      class="entry"
      aria-label="Name for the station as it stands"
      placeholder="name for the station as it stands"
      bind:value={name}
      maxlength="80"
      required
    />
    <button class="button shrink-0" disabled={!plan}>Keep it</button>
  </form>
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
  {#if gone}
    <p class="mt-3 flex items-center justify-between gap-2">
      “{gone.name}” was put away.
      <button class="button" type="button" onclick={() => gone && back.mutate(gone)}>Bring it back</button>
    </p>
  {/if}
  <input
    class="entry mt-4"
    type="search"
    placeholder="Find by name"
    aria-label="Find a kept station"
    bind:value={search}
  />
  {#if saved.data && !rows.length}
    <p class="mt-3">
      {search
        ? `No kept station is called “${search}”.`
        : 'None yet. Name the one on the stage and keep it, or read one from a file.'}
    </p>
  {/if}
  <ul aria-label="Kept stations">
    {#each rows as it (it.id)}
      <li class="flex flex-wrap items-center gap-2 border-b border-hairline py-2">
        <span class="relative h-16 w-full"><Stage scene={it.stage} taped={false} label={it.stage.words} /></span>
        <span class="min-w-0 flex-1">
          <span class="block font-bold wrap-break-word">{it.name}</span>
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
        <button
          class="button plain px-2"
          type="button"
          aria-label="Rename {it.name}"
          onclick={() => (naming = naming === it.id ? '' : it.id)}>Rename</button
        >
        {#if naming === it.id}
          <!-- svelte-ignore a11y_autofocus (it was just asked for) -->
          <input
            class="entry order-last w-full"
            aria-label="New name for {it.name}"
            value={it.name}
            maxlength="80"
            autofocus
            onchange={(event) => {
              const title = event.currentTarget.value.trim()
              naming = ''
              if (title && title !== it.name) renaming.mutate({ id: it.id, title, laid: it })
            }}
          />
        {/if}
        <button
          class="button plain px-2"
          type="button"
          aria-label="Copy {it.name}"
          onclick={() => keeping.mutate({ title: `${it.name.slice(0, 73)}, copy`, laid: it })}>Copy</button
        >
        <a
          class="button plain px-2"
          href="/api/saved-stations/{it.id}/file"
          download="{it.name}.json"
          aria-label="File of {it.name}">File</a
        >
        <button class="button plain px-2" type="button" aria-label="Put away {it.name}" onclick={() => away.mutate(it)}
          >Put away</button
        >
      </li>
    {/each}
  </ul>
  {#if saved.hasNextPage}
    <button class="button mt-2 w-full" type="button" onclick={() => saved.fetchNextPage()}>More</button>
  {/if}
  <label class="mt-4 block">
    <span class="label">Read one from a file</span>
    <input
      class="entry"
      type="file"
      accept="application/json,.json"
      onchange={(event) => readFile(event.currentTarget)}
    />
  </label>
</Sheet>
