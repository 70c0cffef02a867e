<!-- The kit check before the start: what to look at, ticked once and kept with the lesson. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { kitThing, tickKit } from './writes'

  interface Props {
    lessonId: string
    /** Not known before the plan was looked at: its button stands till then, so that nothing slides as they come. */
    items: Shapes['KitItem'][] | undefined
    kept: string[]
  }
  let { lessonId, items = [], kept }: Props = $props()

  let open = $state(false)
  const ticking = createWrite((ticked: string[]) => tickKit(lessonId, ticked))
  const ticked = $derived(saying<{ ticked: string[] }>(kitThing(lessonId))?.ticked ?? kept)
  const done = $derived(items.filter((it) => ticked.includes(it.code)).length)
  const turn = (item: string) =>
    ticking.mutate(ticked.includes(item) ? ticked.filter((it) => it !== item) : [...ticked, item])
</script>

<button
  class="button mb-3 w-full justify-between"
  type="button"
  disabled={!items.length}
  onclick={() => (open = true)}
  data-kit
>
  <span>Kit check…</span>{#if items.length}<span>{done === items.length ? '✓ ' : ''}{done} of {items.length}</span>{/if}
</button>

<Sheet bind:open title="Kit check">
  <p>Before the start, and when you leave. Nothing here holds up a putt.</p>
  <ul class="mt-2">
    {#each items as it (it.code)}
      <li>
        <label class="flex min-h-12 cursor-pointer items-center gap-3 border-b border-hairline">
          <input
            type="checkbox"
            class="size-6 shrink-0 accent-[var(--ink)]"
            checked={ticked.includes(it.code)}
            onchange={() => turn(it.code)}
          />
          <span>{it.words}</span>
        </label>
      </li>
    {/each}
  </ul>
  {#if ticking.error}<div class="mt-2"><Trouble error={ticking.error} /></div>{/if}
</Sheet>
