<!-- A small drawing of where the head is moved: from above, or from the side for tilt and chin. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'

  interface Props {
    place: Pick<Shapes['HeadPlaceOut'], 'lever' | 'way'>
    hand: Shapes['GolferBrief']['hand']
  }
  let { place, hand }: Props = $props()

  const up = $derived(place.way === 'plus' ? 1 : -1)
  // From above the line runs to the right; a right-handed golfer stands above it here.
  const side = $derived(hand === 'right' ? -1 : 1)
  /** Where the head is drawn, and the ball, from above. */
  const head = $derived(
    {
      inside: { x: 0, y: side * (6 + 7 * up) },
      behind: { x: -8 * up, y: side * 6 },
      distance: { x: 0, y: side * (8 + 7 * up) }
    }[place.lever as string] ?? { x: 0, y: side * 6 }
  )
  const ball = $derived(place.lever === 'ball' ? 8 * up : 0)
  const fromSide = $derived(place.lever === 'tilt' || place.lever === 'chin')
</script>

<svg width="56" height="44" viewBox="-28 -22 56 44" aria-hidden="true">
  {#if fromSide}
    <g transform="rotate({(place.lever === 'chin' ? -1 : 1) * up * 22})">
      <ellipse rx="9" ry="12" fill="none" stroke="currentColor" stroke-width="1.8" />
      {#if place.lever === 'chin'}<path d="M 9 -2 l 4 3 l -4 2" fill="none" stroke="currentColor" stroke-width="1.8" />
      {:else}<line
          x1="-5"
          x2="5"
          y1="-3"
          y2="-3"
          stroke="currentColor"
          stroke-width="1.8"
          stroke-dasharray="3 4"
        />{/if}
    </g>
  {:else}
    <line x1="-26" x2="26" y1="0" y2="0" stroke="currentColor" stroke-width="1" stroke-dasharray="2 2" />
    <circle cx={ball} cy="0" r="3" fill="currentColor" />
    <ellipse cx={head.x} cy={head.y} rx="7" ry="5.5" fill="none" stroke="currentColor" stroke-width="1.8" />
  {/if}
</svg>
