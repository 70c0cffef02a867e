<!-- A run of a drill, told after each stroke: by a tap, a key or a pedal. Nothing is kept before the last one; undo is one key. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import { keys } from '$lib/base/keys.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import { tellRun } from './writes'

  interface Props {
    drill: Shapes['DrillOut']
    golferId: string
    bare: boolean
    plan?: { id: string; number: number } | undefined
    /** What was kept, and how each was told. */
    done: (said: Shapes['RunOut'], told: number[]) => void
  }
  let { drill, golferId, bare, plan, done }: Props = $props()

  /** Angles as they are told by eye, degrees: to the half. */
  const ANGLES = [-2, -1, -0.5, 0, 0.5, 1, 2]
  const angle = (it: number) => `${it < 0 ? '◂ ' : ''}${Math.abs(it)}°${it > 0 ? ' ▸' : ''}`
  // A run begun is there again after a reload.
  const begun = new Draft<number[]>(
    untrack(() => `run ${drill.code} ${plan?.number ?? ''}`),
    () => []
  )
  const told = $derived(begun.value)
  const running = createWrite(
    () =>
      tellRun({
        golfer_id: golferId,
        drill: drill.code,
        plan_id: plan?.id ?? null,
        number: plan?.number ?? null,
        bare,
        done: drill.angles ? [] : (told as (0 | 1)[]),
        angles_deg: drill.angles ? told : [],
        done_at: stamp()
      }),
    (said) => {
      const was = $state.snapshot(told)
      begun.clear()
      done(said, was)
    }
  )
  function tell(value: number): void {
    if (running.isPending || told.length >= drill.times) return
    begun.value = [...told, value]
    if (begun.value.length === drill.times) running.mutate(undefined)
  }
  const undo = () => (begun.value = told.slice(0, -1))
  $effect(() =>
    keys.add(drill.name, () => [
      ...(drill.angles
        ? []
        : [
            { key: '1', words: `${drill.asks} Yes`, run: () => tell(1) },
            { key: '0', words: `${drill.asks} No`, run: () => tell(0) },
            // A pedal sends the keys of pages.
            { key: 'PageDown', words: `${drill.asks} Yes, by a pedal`, run: () => tell(1) },
            { key: 'PageUp', words: `${drill.asks} No, by a pedal`, run: () => tell(0) }
          ]),
      { key: 'u', words: 'Undo the last', run: undo }
    ])
  )
</script>

<div class="mt-3" data-run={drill.code}>
  <div class="flex flex-wrap items-center justify-between gap-2">
    <p class="wide text-2xl" data-told>{told.length} of {drill.times}</p>
    {#if !drill.angles}<p class="text-lg">{told.filter((it) => it === 1).length} as wanted</p>{/if}
    <button class="button" disabled={!told.length || running.isPending} onclick={undo}
      >Undo last <kbd class="key">U</kbd></button
    >
  </div>
  {#if drill.lengths.length > 1}<p class="mt-2 text-lg" data-next-length>
      Next from <b>{drill.lengths[told.length % drill.lengths.length]}</b>
    </p>{/if}
  <p class="mt-2 text-xl font-semibold">{drill.asks}</p>
  {#if drill.angles}
    <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="The angle, degrees">
      {#each ANGLES as it (it)}<button class="button min-h-16 flex-1 text-lg" onclick={() => tell(it)}
          >{angle(it)}</button
        >{/each}
    </div>
  {:else}
    <div class="mt-1 grid grid-cols-2 gap-2">
      <button class="button min-h-24 text-2xl" onclick={() => tell(0)}>No <kbd class="key">0</kbd></button>
      <button class="button primary min-h-24 text-2xl" onclick={() => tell(1)}>Yes <kbd class="key">1</kbd></button>
    </div>
  {/if}
  {#if told.length && told.length < drill.times}
    <button class="button plain mt-2" disabled={running.isPending} onclick={() => running.mutate(undefined)}
      >Stop here: keep {told.length} of {drill.times}</button
    >
  {/if}
  {#if running.error}<Trouble error={running.error} />{/if}
</div>
