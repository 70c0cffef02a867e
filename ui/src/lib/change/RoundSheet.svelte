<!-- A round told afterwards: each hole by the length of its first putt and how many there were; two taps where it was holed. -->
<script lang="ts">
  import Cautions from '$lib/keep/Cautions.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import { FOOT_M, rulerFor } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { tellRound } from './writes'

  interface Props {
    open: boolean
    golferId: string
  }
  let { open = $bindable(), golferId }: Props = $props()

  type Hole = Required<Shapes['HoleIn']>
  /** As lengths are guessed on a green. */
  const LENGTHS = $derived(
    settings.units === 'feet' ? [3, 5, 7, 10, 15, 20, 30, 40].map((it) => it * FOOT_M) : [1, 1.5, 2, 3, 4.5, 6, 9, 12]
  )
  const inWords = (it: number) => {
    const ruler = rulerFor(20, settings.units)
    return `${Number((it / ruler.metres).toFixed(1))} ${ruler.unit}`
  }
  const SIDES = choices<Exclude<Hole['side'], ''>>('round_side')
  const PACES = choices<Exclude<Hole['pace'], ''>>('round_pace')
  const begun = new Draft<{ holes: Hole[]; length: number | null }>('round', () => ({ holes: [], length: null }))
  const holes = $derived(begun.value.holes)
  const last = $derived(holes.at(-1))
  const told = $derived(holes.reduce((all, it) => all + it.putts, 0))
  const keeping = createWrite(
    () => tellRound({ golfer_id: golferId, holes: $state.snapshot(holes), played_at: stamp() }),
    () => {
      begun.clear()
      open = false
    }
  )
  function putts(n: number): void {
    if (begun.value.length === null) return
    begun.value = { holes: [...holes, { first_m: begun.value.length, putts: n, side: '', pace: '' }], length: null }
  }
  function missed(more: Partial<Hole>): void {
    if (!last) return
    begun.value = { ...begun.value, holes: [...holes.slice(0, -1), { ...last, ...more }] }
  }
</script>

<Sheet bind:open title="A round">
  <p class="wide text-2xl" data-hole>Hole {holes.length + 1}</p>
  <p class="label mt-2">The first putt</p>
  <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="How long the first putt was">
    {#each LENGTHS as it (it)}
      <button
        class="button min-h-14 min-w-16 {begun.value.length === it ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={begun.value.length === it}
        onclick={() => (begun.value = { ...begun.value, length: it })}>{inWords(it)}</button
      >
    {/each}
  </div>
  <p class="label mt-3">Putts</p>
  <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="How many putts">
    {#each [1, 2, 3, 4] as n (n)}
      <button class="button min-h-14 min-w-16 text-xl" disabled={begun.value.length === null} onclick={() => putts(n)}
        >{n}</button
      >
    {/each}
  </div>
  {#if last}
    <div class="mt-4 border-t border-hairline pt-3" data-last-hole>
      <p class="text-lg">
        <b>Hole {holes.length}:</b>
        {inWords(last.first_m)}, {last.putts === 1 ? 'holed' : `${last.putts} putts`}
      </p>
      {#if last.putts > 1}
        <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="Where the first putt missed, if you know">
          {#each SIDES as it (it.value)}
            <button
              class="button {last.side === it.value ? 'border-ink bg-ink text-paper!' : ''}"
              aria-pressed={last.side === it.value}
              onclick={() => missed({ side: last.side === it.value ? '' : it.value })}>{it.words}</button
            >
          {/each}
          {#each PACES as it (it.value)}
            <button
              class="button {last.pace === it.value ? 'border-ink bg-ink text-paper!' : ''}"
              aria-pressed={last.pace === it.value}
              onclick={() => missed({ pace: last.pace === it.value ? '' : it.value })}>{it.words}</button
            >
          {/each}
        </div>
      {/if}
      <button class="button plain mt-2" onclick={() => (begun.value = { ...begun.value, holes: holes.slice(0, -1) })}
        >Undo this hole</button
      >
    </div>
  {/if}
  {#if keeping.error}<Trouble error={keeping.error} />{/if}
  <button
    class="button primary mt-4 min-h-14 w-full text-lg"
    disabled={!holes.length || keeping.isPending}
    onclick={() => keeping.mutate(undefined)}
    >Keep the round{holes.length
      ? `: ${holes.length} ${holes.length === 1 ? 'hole' : 'holes'}, ${told} putts`
      : ''}</button
  >
  <div class="mt-3"><Cautions at="round" /></div>
</Sheet>
