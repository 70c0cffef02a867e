<!-- The kit check before the start: what to look at, ticked once and kept with the lesson. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { api, ask } from '$lib/api/client'
  import { Latest } from '$lib/api/latest.svelte'
  import { renewLesson } from '$lib/api/queries.svelte'
  import Sheet from '$lib/frame/Sheet.svelte'
  import Trouble from '$lib/frame/Trouble.svelte'

  interface Props {
    lessonId: string
    items: string[]
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
  const done = $derived(items.filter((it) => ticked.includes(it)).length)
  const turn = (item: string) => ticks.set(ticked.includes(item) ? ticked.filter((it) => it !== item) : [...ticked, item])
</script>

<button class="button mb-3 w-full justify-between" type="button" onclick={() => (open = true)} data-kit>
  <span>Kit check…</span><span>{done === items.length ? '✓ ' : ''}{done} of {items.length}</span>
</button>

<Sheet bind:open title="Kit check">
  <p>Before the start, and when you leave. Nothing here holds up a putt.</p>
  <ul class="mt-2">
    {#each items as it (it)}
      <li>
        <label class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-hairline">
          <input type="checkbox" class="size-6 shrink-0 accent-[var(--ink)]" checked={ticked.includes(it)} onchange={() => turn(it)} />
          <span>{it}</span>
        </label>
      </li>
    {/each}
  </ul>
  {#if ticks.error}<div class="mt-2"><Trouble error={ticks.error} /></div>{/if}
</Sheet>
