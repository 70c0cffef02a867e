<!-- Which block the next putt goes to. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'

  interface Props {
    blocks: Shapes['BlockOut'][]
    current: string
    base: string
  }
  let { blocks, current, base }: Props = $props()
</script>

<ul class="max-h-40 overflow-y-auto">
  {#each blocks as it (it.id)}
    <li>
      <a
        href="{base}?block={it.id}"
        aria-current={it.id === current ? 'true' : undefined}
        class="flex min-h-12 items-center gap-2 border-b border-hairline px-1 leading-tight hover:bg-sheet {it.id ===
        current
          ? 'font-bold'
          : ''}"
      >
        <span aria-hidden="true">{it.id === current ? '●' : '○'}</span>
        <span class="min-w-0 flex-1">
          <span class="block truncate">{it.condition}{it.guided ? ', rig in view' : ''}</span>
          <span class="block truncate text-sm font-normal text-faded">{it.station}</span>
        </span>
        <span class="shrink-0">{it.putts} / {it.planned}</span>
      </a>
    </li>
  {/each}
</ul>
