<!-- A lesson, or everything, kept under the wrong golfer: whose it is, chosen by name; what goes is shown first. -->
<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { Draft } from '$lib/base/draft.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { cache } from '$lib/data/cache'
  import { api, ask } from '$lib/data/client'
  import { key } from '$lib/data/key'
  import { createAsk } from '$lib/data/write.svelte'
  import { seenLastQuery } from './queries.svelte'

  interface Props {
    open: boolean
    former: { id: string; name: string }
    /** The lesson that goes; without one both are the same golfer. */
    lesson?: string | null
    done: (golfer: string) => unknown
  }
  let { open = $bindable(), former, lesson = null, done }: Props = $props()

  const typed = new Draft('whose it is', () => '')
  const golfers = seenLastQuery(() => typed.value)
  const others = $derived((golfers.data ?? []).filter((it) => it.id !== former.id).slice(0, 8))
  let chosen = $state<{ id: string; name: string } | null>(null)
  let id = $state(v7())
  const body = $derived({ former_id: former.id, golfer_id: chosen?.id ?? '', lesson_id: lesson })
  const would = createQuery(() => ({
    queryKey: key.wouldGo(former.id, body.golfer_id, lesson ?? ''),
    queryFn: () => ask(api.POST('/api/handovers', { body })),
    enabled: open && chosen !== null,
    staleTime: 0
  }))
  const going = createAsk(
    () => ask(api.PUT('/api/handovers/{id}', { params: { path: { id } }, body })),
    async (golfer) => {
      typed.clear()
      open = false
      await done(golfer.id)
      await cache.invalidateQueries()
    }
  )

  $effect(() => {
    if (!open) return
    chosen = null
    id = v7()
    going.reset()
  })
</script>

<Sheet bind:open title={lesson ? 'Whose lesson it is' : 'The same golfer'}>
  <p class="mb-3 text-faded">
    {lesson
      ? 'Everything of this lesson goes along. What it was kept under stays in the record.'
      : `Which other entry is ${former.name}, too? Both become one; what stood in each stays in the record.`}
  </p>
  <label class="block"
    ><span class="label">Golfer</span><input
      class="entry"
      bind:value={typed.value}
      maxlength="80"
      placeholder="part of the name"
      oninput={() => (chosen = null)}
    /></label
  >
  <div class="mt-2 grid gap-2" role="group" aria-label="Golfers, the last seen first">
    {#each chosen ? [chosen] : others as it (it.id)}
      <button
        class="button min-h-14 justify-start text-lg"
        type="button"
        aria-pressed={chosen?.id === it.id}
        onclick={() => (chosen = chosen ? null : it)}>{it.name}</button
      >
    {/each}
    {#if golfers.data && !others.length}<p class="text-faded">Nobody else of that name.</p>{/if}
    {#if golfers.error}<Trouble error={golfers.error} again={() => golfers.refetch()} />{/if}
  </div>
  {#if chosen}
    <div class="mt-4 border-t-2 border-ink pt-3" data-would aria-live="polite">
      {#if would.data}
        <p class="label">What changes</p>
        <ul class="mt-1 grid gap-1">
          {#each would.data.says as one, n (one)}<li class="leading-snug {n ? '' : 'font-bold'}">{one}</li>{/each}
        </ul>
      {:else if would.error}<Trouble error={would.error} />
      {/if}
    </div>
    {#if going.error}<div class="mt-2"><Trouble error={going.error} /></div>{/if}
    <button
      class="button primary mt-3 min-h-14 w-full text-lg"
      type="button"
      disabled={!would.data || going.isPending}
      onclick={() => going.mutate(undefined)}>{lesson ? 'Put it there' : 'Make them one'}</button
    >
  {/if}
</Sheet>
