<!--
  Where the head is for a test, in one picture: head, feet and ball are moved by taking hold of them, an eye is shut by a tap on
  it. Arrow keys move what has the focus.
-->
<script lang="ts">
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { entry } from '$lib/data/vocabulary.svelte'
  import type { Shapes } from '$lib/data/client'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Drawn from '$lib/drawing/Drawn.svelte'
  import { leversQuery, placeDrawnQuery } from './queries.svelte'

  interface Props {
    hand: Shapes['GolferBrief']['hand']
    position: Record<string, number>
    eyes: Shapes['SightTestOut']['eyes']
    glasses: Shapes['SightTestOut']['glasses']
  }
  let { hand, position = $bindable(), eyes = $bindable(), glasses }: Props = $props()

  type Part = Shapes['Part']
  type Lever = Shapes['LeverOut']
  const picture = placeDrawnQuery(() => hand)
  const levers = leversQuery()
  const lever = (name: string): Lever | undefined => levers.data?.find((it) => it.lever === name)

  let frame = $state<SVGSVGElement | null>(null)
  let held = $state.raw<{ part: Part; x: number; y: number; from: Record<string, number> } | null>(null)

  const limit = (of: Lever) => entry(of.unit === 'mm' ? 'moved_mm' : 'moved_deg')
  const within = (of: Lever, value: number) =>
    Math.round(Math.min(limit(of).high, Math.max(limit(of).low, value)) / of.step) * of.step
  /** Without what did not move. */
  const told = (all: Record<string, number>) => Object.fromEntries(Object.entries(all).filter(([, value]) => value))
  function said(name: string): string {
    const it = lever(name)
    const at = position[name] ?? 0
    if (!it || !at) return 'as usual'
    const size = it.unit === 'mm' ? withUnit(Math.abs(at) / 1000, rulerFor(0.3, settings.units)) : `${Math.abs(at)}°`
    return `${size} ${at > 0 ? it.plus : it.minus}`
  }
  const moved = $derived(Object.keys(position).map(said))

  /** Where a part stands now, and how it is turned; feet bring the head along. */
  function stands(part: Part): string {
    const at = (name: string) => position[name] ?? 0
    const pulls = [
      ...part.pulls,
      ...(part.name === 'head' ? (picture.data?.parts.find((it) => it.name === 'feet')?.pulls ?? []) : [])
    ]
    const x = (part.at[0] ?? 0) + pulls.reduce((sum, it) => sum + it.x * at(it.lever), 0)
    const y = (part.at[1] ?? 0) + pulls.reduce((sum, it) => sum + it.y * at(it.lever), 0)
    const turn = pulls.reduce((sum, it) => sum + it.turn * at(it.lever), 0)
    return `translate(${x} ${y}) rotate(${turn})`
  }

  function point(event: PointerEvent): { x: number; y: number } {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(frame?.getScreenCTM()?.inverse())
    return { x: at.x, y: at.y }
  }
  function take(event: PointerEvent, part: Part): void {
    if (event.button !== 0) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    held = { part, ...point(event), from: { ...position } }
  }
  /** What the finger pulled, along whichever way it can go; of two ways the one it went further unless it went both. */
  function pull(event: PointerEvent): void {
    if (!held) return
    const to = point(event)
    const by = { x: to.x - held.x, y: to.y - held.y }
    const next = { ...held.from }
    for (const it of held.part.pulls) {
      const of = lever(it.lever)
      if (!of) continue
      // A head is turned by pulling its top beside: a finger's way of its own radius is some fifty degrees.
      const more = it.turn ? by.x / it.turn : it.x ? by.x / it.x : by.y / it.y
      const along = it.turn ? 1 : Math.abs(it.x ? by.x : by.y)
      const beside = it.turn ? 0 : Math.abs(it.x ? by.y : by.x)
      next[it.lever] = along * 2.5 < beside ? (held.from[it.lever] ?? 0) : within(of, (held.from[it.lever] ?? 0) + more)
    }
    position = told(next)
  }
  const KEYS: Record<string, { x: number; y: number }> = {
    ArrowLeft: { x: -1, y: 0 },
    ArrowRight: { x: 1, y: 0 },
    ArrowUp: { x: 0, y: -1 },
    ArrowDown: { x: 0, y: 1 }
  }
  function nudge(event: KeyboardEvent, part: Part): void {
    const by = KEYS[event.key]
    if (!by) return
    event.preventDefault()
    for (const it of part.pulls) {
      const of = lever(it.lever)
      const along = it.turn ? (by.x + by.y) * Math.sign(it.turn) : by.x * Math.sign(it.x) + by.y * Math.sign(it.y)
      if (of && along)
        position = told({ ...position, [it.lever]: within(of, (position[it.lever] ?? 0) + along * of.step) })
    }
  }
  const OPEN = { both: [true, true], left: [true, false], right: [false, true] } as const
  /** Shuts one eye; a tap on either opens both again. */
  function shut(n: number): void {
    eyes = eyes === 'both' ? (n === 0 ? 'right' : 'left') : 'both'
  }
  const NAMES: Record<Part['name'], string> = {
    head: 'Head',
    feet: 'Feet',
    ball: 'Ball',
    tilt: 'Head tilt',
    chin: 'Chin'
  }
</script>

{#if picture.error ?? levers.error}
  <Trouble
    error={(picture.error ?? levers.error)!}
    again={() => void Promise.all([picture.refetch(), levers.refetch()])}
  />
{:else if picture.data && levers.data}
  {@const { scene, parts } = picture.data}
  {@const head = parts.find((it) => it.name === 'head')}
  <!-- Its room is kept while it comes. -->
  <div class="relative aspect-[860/716] max-h-[46dvh] w-full border border-hairline bg-sheet" data-see-picture>
    <svg
      bind:this={frame}
      class="block h-full w-full touch-none select-none"
      viewBox="{scene.left} {scene.top} {scene.right - scene.left} {scene.bottom - scene.top}"
      role="group"
      aria-label={scene.words}
    >
      <Drawn shapes={scene.shapes} />
      {#each parts as part (part.name)}
        <g
          transform={stands(part)}
          class="part cursor-grab {held?.part === part ? 'held' : ''}"
          role="slider"
          tabindex="0"
          aria-label={NAMES[part.name]}
          aria-valuenow={position[part.pulls[0]?.lever ?? ''] ?? 0}
          aria-valuetext={part.pulls.map((it) => said(it.lever)).join(', ')}
          data-part={part.name}
          onpointerdown={(event) => take(event, part)}
          onpointermove={pull}
          onpointerup={() => (held = null)}
          onpointercancel={() => (held = null)}
          onkeydown={(event) => nudge(event, part)}
        >
          <Drawn shapes={part.shapes} />
        </g>
      {/each}
      {#if head}
        <!-- On the head, and not within what is moved: each is a button of its own. -->
        <g transform={stands(head)}>
          {#each picture.data.eyes as [x = 0, y = 0], n (n)}
            {@const open = OPEN[eyes][n]}
            <g
              role="button"
              tabindex="0"
              aria-label="{n ? 'Right' : 'Left'} eye, {open ? 'open' : 'shut'}"
              aria-pressed={!open}
              onclick={() => shut(n)}
              onkeydown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return
                event.preventDefault()
                shut(n)
              }}
            >
              <circle class="room" cx={x} cy={y} r="22" />
              {#if glasses === 'on'}<circle class="lens" cx={x} cy={y} r="24" />{/if}
              {#if open}<circle class="eye" cx={x} cy={y} r="12" />
              {:else}<line class="lid" x1={x - 13} x2={x + 13} y1={y} y2={y} />{/if}
            </g>
          {/each}
        </g>
      {/if}
    </svg>
    <p class="absolute top-1 left-2 bg-sheet/85 px-1 text-lg font-semibold" aria-live="polite" data-place>
      {moved.length ? moved.join(', ') : 'As usual'}
    </p>
    {#if moved.length}<button type="button" class="button absolute top-1 right-1" onclick={() => (position = {})}
        >Back to usual</button
      >{/if}
  </div>
{:else}
  <div class="aspect-[860/716] max-h-[46dvh] w-full border border-hairline"><Coming what="The picture" /></div>
{/if}

<style>
  .part:focus-visible,
  .held {
    outline: 2px solid var(--ink);
    outline-offset: 3px;
  }
  .room {
    fill: transparent;
  }
  .eye {
    fill: currentColor;
  }
  .lens {
    fill: none;
    stroke: currentColor;
    stroke-width: 1.6;
    vector-effect: non-scaling-stroke;
  }
  .lid {
    stroke: currentColor;
    stroke-width: 3;
    vector-effect: non-scaling-stroke;
  }
</style>
