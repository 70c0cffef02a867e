<!--
  The picture of an instrument as something to touch: while the finger is down it says what lifting it will record, and
  a finger that slides off the picture records nothing.
-->
<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { Shapes } from '$lib/data/client'
  import Stage from '$lib/drawing/Stage.svelte'
  import { NAMED_PX, placeZones, zoneAt, type PlacedZone, type Zone } from '$lib/drawing/zones'

  interface Props {
    entry: Shapes['EntryPicture']
    closed: boolean
    /** Least width of a zone, px; 0 leaves zones true to the picture. */
    least: number
    /** The zone that the keyboard has picked. */
    picked?: Zone | null
    record: (zone: Zone) => void
    over: Snippet<[PlacedZone[]]>
  }
  let { entry, closed, least, picked = null, record, over }: Props = $props()

  let width = $state(0)
  let height = $state(0)
  let held = $state<PlacedZone | null>(null)
  const zones = $derived(width && height ? placeZones(entry, width, height, least) : [])
  /** Zones too narrow for their names are read by holding one. */
  const nameless = $derived(least > 0 && zones.some((it) => it.right - it.left < NAMED_PX))
  const lit = $derived(held ?? zones.find((it) => it.zone === picked) ?? null)

  /**
   * The click that a browser makes of a lifted finger is kept back: what the putt is asked next stands there by then, and
   * would be answered by it.
   */
  function keepsClicksBack(node: HTMLElement): void {
    node.addEventListener('touchstart', (event) => event.preventDefault(), { passive: false })
  }
  function under(event: PointerEvent): PlacedZone | null {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
    const [x, y] = [event.clientX - box.left, event.clientY - box.top]
    if (x < 0 || x > box.width || y < -20 || y > box.height + 20) return null
    return zoneAt(zones, x) ?? null
  }
  function down(event: PointerEvent): void {
    if (closed || event.button !== 0) return
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
    held = under(event)
  }
  function up(event: PointerEvent): void {
    const zone = held && under(event)?.zone
    held = null
    if (zone) record(zone)
  }
</script>

<div class="flex h-full min-h-0 flex-col">
  <p class="flex h-9 shrink-0 items-center justify-center text-center text-xl font-bold" aria-live="off" data-readout>
    {#if lit}<span class="bg-level px-3 text-on-level">{lit.zone.name}</span>{:else if nameless}<span
        class="text-base font-normal text-faded">Hold a place to read it; lift to record.</span
      >{/if}
  </p>
  <!-- Pointers are read here; keys and assistive technology use the controls inside. -->
  <div
    class="relative min-h-0 flex-1 touch-none select-none"
    class:opacity-50={closed}
    role="presentation"
    bind:clientWidth={width}
    bind:clientHeight={height}
    onpointerdown={down}
    onpointermove={(event) => held && (held = under(event) ?? held)}
    onpointerup={up}
    onpointercancel={() => (held = null)}
    {@attach keepsClicksBack}
  >
    {#if lit}
      <div
        class="absolute inset-y-0 border-x-2 border-ink bg-level/35"
        style:left="{lit.left}px"
        style:width="{lit.right - lit.left}px"
      ></div>
    {/if}
    <Stage scene={entry.picture} />
    {@render over(zones)}
  </div>
</div>
