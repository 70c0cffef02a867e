<!-- Everything that was read, a row each: what of, what it comes to, and where it lies or how often what. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Vial from '$lib/drawing/Vial.svelte'
  import Why from './Why.svelte'

  interface Props {
    rows: Shapes['ClaimOut'][]
    /** Whose claims they are: each can be opened. None: of a part, which is told with the whole. */
    of?: { lesson: string; block?: string | undefined }
  }
  let { rows, of }: Props = $props()
</script>

<ul data-read>
  {#each rows as it (it.name)}
    <li
      class="grid items-center gap-x-4 gap-y-1 border-b border-hairline py-2 {it.vial || it.parts.length
        ? 'md:grid-cols-[minmax(0,1fr)_minmax(140px,34%)]'
        : ''}"
      data-quantity={it.quantity}
    >
      <p class="leading-snug">
        <span class="font-semibold">{it.name}</span>: {it.words}
        {#if of && it.key}<Why {of} key={it.key} name={it.name} />{/if}
      </p>
      {#if it.vial}<Vial vial={it.vial} words="{it.name}: {it.words}" size="row" />
      {:else if it.parts.length}
        <p class="flex h-6 border border-ink" aria-hidden="true">
          {#each it.parts as part, n (part.name)}<span
              class="block h-full {n === 0 ? 'bg-ink' : n === 1 ? 'bg-engraved' : 'bg-hairline'}"
              style:width="{(100 * part.times) / it.count}%"
            ></span>{/each}
        </p>
      {/if}
    </li>
  {/each}
</ul>
