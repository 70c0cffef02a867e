<!-- The stage: a scene drawn to scale. What is exaggerated says so. Fills the positioned box it stands in. -->
<script lang="ts">
  import Grips, { type Grip } from './Grips.svelte'
  import { fittingStretch, layOut, STRETCHES, type Scene } from './page'
  import TapeMark from './TapeMark.svelte'

  interface Props {
    scene: Scene
    /** Offer to exaggerate across the line; begin true to scale, or as far as shows every putt. */
    stretch?: 'true' | 'fitting' | undefined
    label?: string
    /** Which tapes can be pulled to size, and what that does. */
    grip?: ((of: string, whose: number) => Grip | null) | undefined
    /** The scale it came to stand at, px per mm; and one to keep to, for a drawing under another. */
    along?: number
    fixed?: number
    /** Its dimensions taped; left out where it is only to be known by its shape. */
    taped?: boolean
    /** What is written grows with the picture: on a wall it is read from further away. */
    grows?: boolean
  }
  let {
    scene,
    stretch,
    label = '',
    grip,
    along = $bindable(0),
    fixed = 0,
    taped = true,
    grows = false
  }: Props = $props()

  // What is drawn keeps clear of the strip in which the exaggeration is chosen.
  const STRIP = 52
  let width = $state(0)
  let whole = $state(0)
  const height = $derived(stretch ? Math.max(0, whole - STRIP) : whole)
  let chosen = $state<number | null>(null)
  const across = $derived(chosen ?? (stretch === 'fitting' ? fittingStretch(scene, width, height) : 1))
  const page = $derived(layOut(scene, width, height, across, fixed))
  const written = $derived(grows ? Math.min(26, Math.max(11, 22 * page.along)) : 13)
  /** Where a text begins so that it ends on the page: in a narrow picture it stands over what it is of, and is not cut. */
  const begins = (x: number, text: string) => Math.min(page.x(x), width - 4 - text.length * written * 0.56)
  const tapes = $derived(scene.shapes.flatMap((it) => (it.shape === 'tape' ? [it] : [])))
  $effect(() => {
    along = page.along
  })
  const points = (it: [number, number][]) => it.map(([x, y]) => `${page.x(x)},${page.y(y)}`).join(' ')
  // The newest putt is drawn strong, the ones before it fainter.
  const fade = (age: number) => (age === 0 ? 1 : Math.max(0.18, 0.62 - age * 0.05))
</script>

<div class="absolute inset-0 overflow-hidden" bind:clientWidth={width} bind:clientHeight={whole}>
  {#if width && height}
    <svg {width} {height} role="img" aria-label={label || scene.words} class="absolute inset-0 block">
      {#each scene.shapes as it, n (n)}
        {#if it.shape === 'area'}
          <polygon class={it.role} points={points(it.points as [number, number][])} />
        {:else if it.shape === 'curve'}
          <polyline class={it.role} points={points(it.points as [number, number][])} />
        {:else if it.shape === 'circle'}
          <ellipse
            class={it.role}
            cx={page.x(it.x)}
            cy={page.y(it.y)}
            rx={Math.max(it.r * page.along, 1.2)}
            ry={Math.max(it.r * page.over, 1.2)}
          />
        {:else if it.shape === 'line'}
          <line class={it.role} x1={page.x(it.x1)} y1={page.y(it.y1)} x2={page.x(it.x2)} y2={page.y(it.y2)} />
        {:else if it.shape === 'label'}
          <text
            class="label-text"
            font-size={written}
            x={it.anchor === 'start' ? begins(it.x, it.text) : page.x(it.x)}
            y={page.y(it.y)}
            text-anchor={it.anchor}>{it.text}</text
          >
        {:else if it.shape === 'ray'}
          <g class="ray {it.side}" opacity={fade(it.age)}>
            {#if it.age === 0 && it.y_low !== null && it.y_high !== null}
              <polygon
                class="wedge"
                points={points([
                  [it.x, it.y],
                  [it.x_end, it.y_low],
                  [it.x_end, it.y_high]
                ])}
              />
            {/if}
            <line
              x1={page.x(it.x)}
              y1={page.y(it.y)}
              x2={page.x(it.x_end)}
              y2={page.y(it.y_at)}
              stroke-width={it.age === 0 ? 3 : 1.5}
              stroke-dasharray={it.y_low === null || it.y_high === null ? '7 5' : undefined}
            />
          </g>
        {:else if taped}
          <TapeMark tape={it} {page} />
        {/if}
      {/each}
    </svg>
    {#if grip}<Grips {tapes} {page} {grip} />{/if}
    {#if stretch}
      <div
        class="absolute right-2 bottom-2 flex max-w-full flex-wrap items-center justify-end gap-2 bg-paper pl-2"
        role="group"
        aria-label="Exaggerate across"
      >
        <span class="text-sm text-faded" aria-live="polite">
          {across === 1 ? 'True to scale' : `Across the line ×${across}, along it ×1`}
        </span>
        {#each STRETCHES as times (times)}
          <button
            type="button"
            class="button min-w-12 px-2"
            class:bg-ink={across === times}
            class:text-paper!={across === times}
            aria-pressed={across === times}
            onclick={() => (chosen = times)}>×{times}</button
          >
        {/each}
      </div>
    {/if}
  {/if}
</div>

<style>
  .ball {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .ghost {
    fill: none;
    stroke: var(--engraved);
    stroke-width: 1;
    stroke-dasharray: 4 4;
  }
  .hole {
    fill: var(--ink);
    fill-opacity: 0.88;
  }
  .ring {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 6 4;
  }
  .line {
    stroke: var(--ink);
    stroke-width: 1;
    stroke-dasharray: 9 4 2 4;
  }
  .ground {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .post {
    fill: var(--ink);
    stroke: var(--ink);
    stroke-width: 1;
  }
  .board {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.25;
  }
  .limit {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 1;
  }
  .window {
    fill: var(--window);
    stroke: var(--hairline);
    stroke-width: 1;
  }
  .shade {
    fill: var(--window);
    shape-rendering: crispEdges;
  }
  .path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .stance {
    fill: none;
    stroke: var(--hairline);
    stroke-width: 1.5;
  }
  .label-text {
    fill: var(--ink);
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  /* A line through points is never an area. */
  polyline {
    fill: none;
  }
  polyline.left,
  polyline.right {
    fill: none;
    stroke: var(--left);
    stroke-width: 2.5;
  }
  polyline.right {
    stroke: var(--right);
    stroke-dasharray: 7 4;
  }
  .ray line {
    stroke: var(--ink);
    stroke-linecap: round;
  }
  .ray.left line {
    stroke: var(--left);
  }
  .ray.right line {
    stroke: var(--right);
  }
  .wedge {
    fill: var(--ink);
    opacity: 0.13;
  }
  .ray.left .wedge {
    fill: var(--left);
  }
  .ray.right .wedge {
    fill: var(--right);
  }
</style>
