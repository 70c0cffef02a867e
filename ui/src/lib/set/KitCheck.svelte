<!-- The kit check before the start: what to look at, ticked once and kept with the lesson. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { Latest } from '$lib/data/latest.svelte'
  import { renewLesson } from '$lib/data/queries.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  interface Props {
    lessonId: string
    items: Shapes['KitItem'][]
    kept: string[]
  }
  let { lessonId, items, kept }: Props = $props()

  const client = useQueryClient()
  let open = $state(false)
  const ticks = new Latest<string[]>(async (ticked) => {
    await ask(api.PUT('/api/lessons/{id}/kit', { params: { path: { id: lessonId } }, body: { ticked } }))
    await renewLesson(client, lessonId)
  })
  const ticked = $derived(ticks.value ?? kept)
  const done = $derived(items.filter((it) => ticked.includes(it.code)).length)
  const turn = (item: string) => ticks.set(ticked.includes(item) ? ticked.filter((it) => it !== item) : [...ticked, item])
</script>

<button class="button mb-3 w-full justify-between" type="button" onclick={() => (open = true)} data-kit>
  <span>Kit check…</span><span>{done === items.length ? '✓ ' : ''}{done} of {items.length}</span>
</button>

<Sheet bind:open title="Kit check">
  <p>Before the start, and when you leave. Nothing here holds up a putt.</p>
  <ul class="mt-2">
    {#each items as it (it.code)}
      <li>
        <label class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-hairline">
          <input type="checkbox" class="size-6 shrink-0 accent-[var(--ink)]" checked={ticked.includes(it.code)} onchange={() => turn(it.code)} />
          <span>{it.words}</span>
        </label>
      </li>
    {/each}
  </ul>
  {#if ticks.error}<div class="mt-2"><Trouble error={ticks.error} /></div>{/if}
</Sheet>
