<!-- A taped dimension between witness lines, set off from the drawing by its lane. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { setOff, type Page } from './page'

  interface Props {
    tape: Shapes['Tape']
    page: Page
  }
  let { tape, page }: Props = $props()

  const level = $derived(tape.y1 === tape.y2)
  const off = $derived(setOff(tape))
  const at = $derived({ x1: page.x(tape.x1), y1: page.y(tape.y1), x2: page.x(tape.x2), y2: page.y(tape.y2) })
  const tick = 5
  /** What half the figure takes, px: it stays on the page. */
  const room = $derived(tape.text.length * 4.2 + 6)
</script>

<g class="tape">
  {#if level}
    {@const y = at.y1 + off}
    {@const lower = Math.sign(off) * 6}
    <line class="witness" x1={at.x1} x2={at.x1} y1={at.y1} y2={y + lower} />
    <line class="witness" x1={at.x2} x2={at.x2} y1={at.y2} y2={y + lower} />
    <line x1={at.x1} x2={at.x2} y1={y} y2={y} />
    <line x1={at.x1 - tick} x2={at.x1 + tick} y1={y + tick} y2={y - tick} />
    <line x1={at.x2 - tick} x2={at.x2 + tick} y1={y + tick} y2={y - tick} />
    <text x={(at.x1 + at.x2) / 2} y={y + 5} text-anchor="middle">{tape.text}</text>
  {:else}
    {@const x = at.x1 + off}
    <!-- The figure stands beyond the end that is pulled. -->
    {@const up = at.y2 < at.y1}
    <line class="witness" x1={at.x1} x2={x + 6} y1={at.y1} y2={at.y1} />
    <line class="witness" x1={at.x2} x2={x + 6} y1={at.y2} y2={at.y2} />
    <line x1={x} x2={x} y1={at.y1} y2={at.y2} />
    <line x1={x - tick} x2={x + tick} y1={at.y1 + tick} y2={at.y1 - tick} />
    <line x1={x - tick} x2={x + tick} y1={at.y2 + tick} y2={at.y2 - tick} />
    <text
      x={up ? Math.min(page.width - room, Math.max(room, x)) : x}
      dx={up ? 0 : 10}
      y={up ? at.y2 - 13 : at.y2 + 18}
      text-anchor={up ? 'middle' : 'start'}>{tape.text}</text
    >
  {/if}
</g>

<style>
  line {
    stroke: var(--engraved);
    stroke-width: 1;
  }
  .witness {
    stroke-dasharray: 2 3;
  }
  text {
    fill: var(--ink);
    font-size: 14px;
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 6px;
    stroke-linejoin: round;
  }
</style>
