<!-- What one step of making a device ready looks like there, as a line drawing: no device’s own look. -->
<script lang="ts">
  import type { Drawn } from './ready'

  let { drawn }: { drawn: Drawn } = $props()
  const ROWS = [14, 26, 38, 50]
</script>

<svg class="h-20 w-30 shrink-0" viewBox="0 0 96 64" aria-hidden="true" fill="none" stroke="var(--ink)" stroke-width="2">
  <rect x="1" y="1" width="94" height="62" rx="6" fill="var(--sheet)" />
  {#if drawn === 'take'}
    <rect x="34" y="8" width="28" height="26" rx="2" />
    <path d="M40 16h16M40 22h16M40 28h9" stroke-width="1.5" />
    <path d="M48 38v13M42 46l6 6 6-6M26 50v7h44v-7" stroke="var(--fluid-edge, var(--ink))" />
  {:else if drawn === 'choose'}
    {#each ROWS as y, n (y)}
      {#if n === 1}<rect x="6" y={y - 6} width="84" height="12" rx="3" fill="var(--fluid)" />{/if}
      <circle cx="14" cy={y} r="3" stroke-width="1.5" />
      <path d="M22 {y}h{n === 1 ? 50 : 38}M82 {y - 3}l3 3-3 3" stroke-width="1.5" />
    {/each}
  {:else if drawn === 'compare'}
    <rect x="8" y="10" width="34" height="44" rx="2" />
    <rect x="54" y="10" width="34" height="44" rx="2" />
    {#each [20, 28, 36, 44] as y (y)}
      <path d="M13 {y}h24M59 {y}h24" stroke-width="1.5" stroke-dasharray="4 2" />
    {/each}
    <path d="M45 28h6M45 34h6" />
  {:else if drawn === 'switch'}
    {#each [18, 46] as y (y)}<path d="M10 {y}h40" stroke-width="1.5" />{/each}
    <rect x="60" y="10" width="26" height="16" rx="8" fill="var(--fluid)" /><circle
      cx="78"
      cy="18"
      r="5"
      fill="var(--sheet)"
    />
    <rect x="60" y="38" width="26" height="16" rx="8" /><circle cx="68" cy="46" r="5" />
  {:else}
    <rect x="8" y="8" width="80" height="14" rx="7" />
    <rect x="13" y="14" width="8" height="6" rx="1" fill="var(--ink)" stroke-width="1" />
    <path d="M14.500 14v-1.500a2.500 2.500 0 0 1 5 0V14M27 15h40" stroke-width="1.5" />
    <path d="M38 42l7 7 14-15" stroke-width="3" />
  {/if}
</svg>
