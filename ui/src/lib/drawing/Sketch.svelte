<!-- A thing in small, to be known by its shape before its name is read: no words, no tapes. -->
<script lang="ts">
  import { layOut, type Scene } from './page'

  let { scene, width = 104, height = 46 }: { scene: Scene; width?: number; height?: number } = $props()

  const page = $derived(layOut(scene, width, height, 1))
  const points = (it: [number, number][]) => it.map(([x, y]) => `${page.x(x)},${page.y(y)}`).join(' ')
  const solid = (role: string) => (role === 'post' || role === 'hole' || role === 'mark' ? 'currentColor' : 'none')
</script>

<svg {width} {height} aria-hidden="true" class="block" stroke="currentColor" fill="none" stroke-width="1.2">
  {#each scene.shapes as it, n (n)}
    {#if it.shape === 'area' && it.role === 'shade'}<polygon
        fill="currentColor"
        fill-opacity="0.16"
        stroke="none"
        points={points(it.points as [number, number][])}
      />
    {:else if it.shape === 'area'}<polygon fill={solid(it.role)} points={points(it.points as [number, number][])} />
    {:else if it.shape === 'curve'}<polyline
        stroke-width={it.role === 'path' ? 2 : 1.2}
        points={points(it.points as [number, number][])}
      />
    {:else if it.shape === 'circle'}<circle
        fill={solid(it.role)}
        stroke-dasharray={it.role === 'ghost' ? '2 2' : undefined}
        cx={page.x(it.x)}
        cy={page.y(it.y)}
        r={Math.max(it.r * page.along, 1.5)}
      />
    {:else if it.shape === 'line'}<line
        stroke-dasharray={it.role === 'line' ? '4 3' : undefined}
        x1={page.x(it.x1)}
        y1={page.y(it.y1)}
        x2={page.x(it.x2)}
        y2={page.y(it.y2)}
        stroke-width={it.role === 'limit' ? 2.5 : 1.2}
      />{/if}
  {/each}
</svg>
