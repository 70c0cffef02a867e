<!--
  The vial: the one way a result is shown. The fixed marks stand at the window, the bubble at the bias and as wide as
  its 90 % interval, the film behind it spans the spread, a tick stands for each putt. Left of centre is left.
-->
<script lang="ts">
  import { rulerFor, withUnit } from '$lib/base/length'
  import { settings } from '$lib/base/settings.svelte'
  import { vialGeometry, type VialShape } from './vial'

  interface Props {
    vial: VialShape
    /** What it says, in words: the text equivalent. */
    words: string
    size?: 'row' | 'side' | 'large'
  }
  let { vial, words, size = 'side' }: Props = $props()

  let outer = $state(0)
  // The bubble settles after a new putt only: not when it is first drawn, nor when the page changes its width.
  let settling = $state(false)
  let drawn = { putts: -1, outer: 0 }
  $effect.pre(() => {
    const now = { putts: vial.ticks.length, outer }
    if (now.outer !== drawn.outer) settling = false
    else if (drawn.outer > 0 && now.putts !== drawn.putts) settling = true
    drawn = now
  })
  const TALL = { row: [26, 15], side: [52, 30], large: [92, 52] } as const
  const tube = $derived(TALL[size][0])
  const tall = $derived(TALL[size][1])
  const cap = $derived(size === 'row' ? 5 : size === 'side' ? 9 : 14)
  const top = $derived(size === 'row' ? 2 : 20)
  const width = $derived(Math.max(outer - 2 * cap, 40))
  const it = $derived(vialGeometry(vial, width, tall))
  const height = $derived(top + tube + 4 + tall + (size === 'row' ? 2 : 8))
  function marked(size: number): string {
    if (vial.unit !== 'mm') return `${size.toFixed(1)}°`
    return withUnit(Math.round(size) / 1000, rulerFor(0.1, settings.units))
  }
</script>

<!-- Its drawing must not hold its column open when that gets narrower. -->
<div class="w-full [contain:inline-size]" bind:clientWidth={outer} data-vial={size}>
  <svg width={outer} {height} role="img" aria-label={words} class="block">
    <g transform="translate({cap} {top})">
      <!-- The glass and its brass caps. -->
      <rect class="glass" x={-cap + 1} y="0.5" width={width + 2 * cap - 2} height={tube - 1} rx={tube / 2.4} />
      <clipPath id="tube-{size}-{outer}">
        <rect x={-cap + 2} y="1.5" width={width + 2 * cap - 4} height={tube - 3} rx={tube / 2.5} />
      </clipPath>
      <g clip-path="url(#tube-{size}-{outer})">
        {#if it.film && !it.off}
          <rect
            class="film"
            class:settle={settling}
            x={it.film.x}
            y="1.5"
            width={it.film.width}
            height={tube - 3}
            rx={tube / 3}
          />
        {/if}
        {#if it.bubble && !it.off}
          <rect
            class="bubble"
            class:settle={settling}
            class:open={!vial.settled}
            x={it.bubble.x}
            y={tube * 0.16}
            width={it.bubble.width}
            height={tube * 0.68}
            rx={Math.min(it.bubble.width, tube * 0.68) / 2}
          />
          <line class="at" class:settle={settling} x1={it.at} x2={it.at} y1={tube * 0.3} y2={tube * 0.7} />
        {/if}
      </g>
      {#if size !== 'row'}
        {#each it.graduations as mark (mark.value)}
          <line class="engraved" x1={mark.x} x2={mark.x} y1="1" y2={tube * 0.13} />
        {/each}
      {/if}
      <line class="centre" x1={it.centre} x2={it.centre} y1="0" y2={tube * 0.2} />
      <line class="centre" x1={it.centre} x2={it.centre} y1={tube * 0.8} y2={tube} />
      {#each it.marks as x, n (n)}
        <line class="mark" x1={x} x2={x} y1={size === 'row' ? 0 : -4} y2={tube + 1} />
      {/each}
      {#if it.off}
        <path class="off" d={it.off === 'left' ? `M2 ${tube / 2}l12 -8v16z` : `M${width - 2} ${tube / 2}l-12 -8v16z`} />
        {#if size !== 'row'}
          <text
            class="off"
            x={it.off === 'left' ? 22 : width - 22}
            y={tube / 2 + 5}
            text-anchor={it.off === 'left' ? 'start' : 'end'}>off this scale</text
          >
        {/if}
      {/if}
      {#if size !== 'row'}
        {#each [vial.mark_left, vial.mark_right] as mark, n (n)}
          <text x={it.marks[n]} y="-7" text-anchor="middle">{marked(Math.abs(mark))}</text>
        {/each}
        <!-- A zone beside the line leaves no room for its zero. -->
        {#if it.marks.every((x) => Math.abs((x ?? 0) - it.centre) > 34)}<text x={it.centre} y="-7" text-anchor="middle"
            >0</text
          >{/if}
        <text x="0" y="-7">◂ {vial.unit === 'mm' ? 'outside' : 'left'}</text>
        <text x={width} y="-7" text-anchor="end">{vial.unit === 'mm' ? 'inside' : 'right'} ▸</text>
      {/if}
      <g transform="translate(0 {tube + 4})">
        {#each it.ticks as tick, n (n)}
          <g class="tick {tick.side}" class:newest={n === it.ticks.length - 1}>
            <line x1={tick.x} x2={tick.x} y1="0" y2={tick.height} />
            {#if tick.open === 'left' || tick.open === 'both'}
              <path d="M{tick.x} {tick.height - 1}h-7m3 -3l-3 3l3 3" />
            {/if}
            {#if tick.open === 'right' || tick.open === 'both'}
              <path d="M{tick.x} {tick.height - 1}h7m-3 -3l3 3l-3 3" />
            {/if}
            {#if tick.off}
              <circle cx={tick.x} cy={tick.height} r="2.5" />
            {/if}
          </g>
        {/each}
      </g>
    </g>
  </svg>
</div>

<style>
  .glass {
    fill: var(--fluid);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .film {
    fill: var(--film);
  }
  .bubble {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  /* Until the planned end the bubble's edge is broken: it has not come to rest. */
  .bubble.open {
    stroke-dasharray: 4 3;
  }
  .at {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  .settle {
    transition:
      x 200ms ease-out,
      width 200ms ease-out;
  }
  .engraved {
    stroke: var(--ink);
    stroke-width: 1;
    opacity: 0.55;
  }
  .centre {
    stroke: var(--ink);
    stroke-width: 1;
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 2.5;
  }
  text {
    fill: var(--faded);
    font-size: 13px;
    font-weight: 600;
  }
  .off {
    fill: var(--ink);
  }
  .tick line,
  .tick path {
    stroke: var(--ink);
    stroke-width: 2;
    fill: none;
  }
  .tick.left line,
  .tick.left path {
    stroke: var(--left);
  }
  .tick.right line,
  .tick.right path {
    stroke: var(--right);
  }
  .tick circle {
    fill: var(--ink);
  }
  .tick.newest line {
    stroke-width: 3.5;
  }
</style>
