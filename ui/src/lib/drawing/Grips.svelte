<!-- The far ends of the tapes, to be pulled: a finger or the arrow keys change the dimension, the drawing follows. -->
<script lang="ts" module>
  /** One dimension that can be pulled to size; values in its own unit. */
  export interface Grip {
    label: string
    value: number
    low: number
    high: number
    step: number
    said: (value: number) => string
    pull: (value: number) => void
  }
</script>

<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { farEnd, type Page } from './page'

  interface Props {
    tapes: Shapes['Tape'][]
    page: Page
    grip: (of: string, whose: number) => Grip | null
  }
  let { tapes, page, grip }: Props = $props()

  const ends = $derived(
    tapes.flatMap((tape) => {
      const found = tape.of ? grip(tape.of, tape.whose ?? 0) : null
      return found ? [{ tape, found, key: `${tape.whose} ${tape.of}`, ...farEnd(tape, page) }] : []
    })
  )
  type End = (typeof ends)[number]
  let held = $state.raw<{ key: string; from: number; value: number; at: number; mm: number; px: number } | null>(null)

  function set(end: End, value: number): number {
    const { low, high, step, pull } = end.found
    const whole = Math.round(Math.round(value / step) * step * 1e5) / 1e5
    const kept = Math.min(high, Math.max(low, whole))
    pull(kept)
    return kept
  }
  function down(event: PointerEvent, end: End): void {
    if (event.button !== 0) return
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
    const from = end.level ? event.clientX : event.clientY
    held = { key: end.key, from, value: end.found.value, at: end.found.value, mm: end.mm * (end.tape.per ?? 1), px: 0 }
    event.preventDefault()
  }
  function move(event: PointerEvent, end: End): void {
    if (held?.key !== end.key) return
    const px = (end.level ? event.clientX : event.clientY) - held.from
    held = { ...held, px, at: set(end, held.value + (px * held.mm) / 1000) }
  }
  const STEPS: Record<string, number> = {
    ArrowRight: 1,
    ArrowUp: 1,
    ArrowLeft: -1,
    ArrowDown: -1,
    PageUp: 5,
    PageDown: -5
  }
  function key(event: KeyboardEvent, end: End): void {
    const by = STEPS[event.key]
    if (!by) return
    event.preventDefault()
    set(end, end.found.value + by * end.found.step)
  }
</script>

{#each ends as end (end.key)}
  {@const mine = held?.key === end.key ? held : null}
  <div
    class="grip absolute flex size-11 -translate-x-1/2 -translate-y-1/2 touch-none items-center justify-center {end.level
      ? 'cursor-ew-resize'
      : 'cursor-ns-resize'}"
    style:left="{end.x}px"
    style:top="{end.y}px"
    role="slider"
    tabindex="0"
    aria-label="{end.found.label}, on the drawing"
    aria-valuemin={end.found.low}
    aria-valuemax={end.found.high}
    aria-valuenow={end.found.value}
    aria-valuetext={end.found.said(end.found.value)}
    data-grip={end.tape.of}
    onpointerdown={(event) => down(event, end)}
    onpointermove={(event) => move(event, end)}
    onpointerup={() => (held = null)}
    onpointercancel={() => (held = null)}
    onkeydown={(event) => key(event, end)}
  >
    <span class="size-3.5 rounded-full border-2 border-ink bg-level"></span>
    {#if mine}
      <span
        class="pointer-events-none absolute bottom-full left-1/2 -translate-x-1/2 bg-level px-2 font-bold whitespace-nowrap text-on-level"
        >{end.found.said(mine.at)}</span
      >
    {/if}
  </div>
{/each}
