<!-- Shapes of a scene in their own millimetres, for an SVG that says in its view box what it shows. -->
<script lang="ts">
  import type { Scene } from './page'

  let { shapes }: { shapes: Scene['shapes'] } = $props()
  const solid = (role: string) =>
    role === 'post' || role === 'hole' || role === 'mark' ? 'currentColor' : role === 'board' ? 'var(--paper)' : 'none'
  const points = (it: [number, number][]) => it.map(([x, y]) => `${x},${y}`).join(' ')
</script>

{#each shapes as it, n (n)}
  {#if it.shape === 'area'}<polygon
      class="ink"
      fill={solid(it.role)}
      points={points(it.points as [number, number][])}
    />
  {:else if it.shape === 'curve'}<polyline class="ink" fill="none" points={points(it.points as [number, number][])} />
  {:else if it.shape === 'circle'}<circle
      class="ink"
      fill={it.role === 'ball' ? 'var(--paper)' : solid(it.role)}
      stroke-dasharray={it.role === 'ghost' ? '4 4' : undefined}
      cx={it.x}
      cy={it.y}
      r={it.r}
    />
  {:else if it.shape === 'line'}<line
      class="ink"
      stroke-dasharray={it.role === 'line' ? '6 4' : undefined}
      stroke-width={it.role === 'limit' ? 3 : 1.6}
      x1={it.x1}
      y1={it.y1}
      x2={it.x2}
      y2={it.y2}
    />{/if}
{/each}

<style>
  .ink {
    stroke: currentColor;
    stroke-width: 1.6;
    vector-effect: non-scaling-stroke;
  }
</style>
