<!-- The mirror to tap on: where an eye shows itself, in the golfer's frame. Says what lifting the finger will mark. -->
<script lang="ts">
  import { layOut, type Scene } from './page'
  import Stage from './Stage.svelte'

  interface Place {
    inside_m: number
    behind_m: number
  }
  interface Props {
    scene: Scene
    /** The golfer's hand: inside is up the page for a right-handed one. */
    hand: 'left' | 'right'
    marks: { name: string; at: Place | null }[]
    /** Which mark a tap sets; null when none is wanted. */
    wanted: string | null
    said: (at: Place) => string
    mark: (at: Place) => void
  }
  let { scene, hand, marks, wanted, said, mark }: Props = $props()

  let width = $state(0)
  let height = $state(0)
  let held = $state.raw<Place | null>(null)
  const page = $derived(layOut(scene, width, height, 1))
  const inward = $derived(hand === 'right' ? -1 : 1)
  const x = (at: Place) => page.x(-at.behind_m * 1000)
  const y = (at: Place) => page.y(inward * at.inside_m * 1000)

  function under(event: PointerEvent): Place {
    const frame = event.currentTarget as HTMLElement
    const box = frame.getBoundingClientRect()
    const mm = (px: number, zero: number, scale: number) => Math.round((px - zero) / scale)
    return {
      behind_m: -mm(event.clientX - box.left - frame.clientLeft, page.x(0), page.along) / 1000,
      inside_m: (inward * mm(event.clientY - box.top - frame.clientTop, page.y(0), page.over)) / 1000
    }
  }
  function down(event: PointerEvent): void {
    if (!wanted || event.button !== 0) return
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
    held = under(event)
  }
  function up(event: PointerEvent): void {
    if (held) mark(under(event))
    held = null
  }
</script>

<p class="flex h-9 items-center justify-center text-xl font-bold" data-readout>
  {#if held && wanted}<span class="bg-level px-3 text-on-level">{wanted}: {said(held)}</span>{/if}
</p>
<!-- Pointers are read here; keys and assistive technology use the entries beside it. -->
<div
  class="relative h-72 touch-none border border-hairline select-none {wanted ? 'cursor-crosshair' : ''}"
  role="presentation"
  data-mirror
  bind:clientWidth={width}
  bind:clientHeight={height}
  onpointerdown={down}
  onpointermove={(event) => held && (held = under(event))}
  onpointerup={up}
  onpointercancel={() => (held = null)}
>
  <Stage {scene} />
  {#each marks as it (it.name)}
    {@const at = held && it.name === wanted ? held : it.at}
    {#if at}
      <span
        class="pointer-events-none absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-ink bg-level"
        style:left="{x(at)}px"
        style:top="{y(at)}px"
      ></span>
      <span
        class="pointer-events-none absolute -translate-x-1/2 bg-paper/80 px-1 text-sm font-bold"
        style:left="{x(at)}px"
        style:top="{y(at) + 14}px">{it.name}</span
      >
    {/if}
  {/each}
</div>
