<!-- Conditions compared: each one's vial, what the comparison comes to, and the chances behind it. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Said from '$lib/base/Said.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Why from './Why.svelte'

  interface Props {
    found: Shapes['ComparedOut']
    felt?: string
    /** The lesson it belongs to: what it says can be opened there. */
    lessonId?: string
  }
  let { found, felt = '', lessonId }: Props = $props()
  const names = $derived(found.names)
</script>

<div data-compared>
  <div class="grid gap-1">
    {#each found.vials as vial, n (n)}
      <div class="grid items-center gap-x-4 sm:grid-cols-[minmax(0,11rem)_1fr]">
        <p class="line-clamp-2 leading-tight font-semibold" title={names[n]}>{names[n]}</p>
        <Vial {vial} words={names[n] ?? ''} size="row" />
      </div>
    {/each}
  </div>
  {#each found.shares as share, n (n)}
    <div class="mt-1 grid items-center gap-x-4 sm:grid-cols-[minmax(0,11rem)_1fr]" data-share>
      <p class="line-clamp-2 leading-tight font-semibold" title={names[n]}>{names[n]}</p>
      <p class="flex items-center gap-3">
        <span class="h-5 flex-1 border border-ink" aria-hidden="true"
          ><span class="block h-full bg-ink" style:width="{share.of ? (100 * share.times) / share.of : 0}%"
          ></span></span
        >
        <span class="w-20 text-right font-semibold">{share.times} of {share.of}</span>
      </p>
    </div>
  {/each}
  <p class="mt-2 text-lg font-semibold"><Said text={found.headline} /></p>
  {#if felt}<p class="leading-snug" data-felt>{felt}</p>{/if}
  {#if found.note}<p class="text-sm text-faded">{found.note}</p>{/if}
  {#each found.pairs as pair (pair.name)}
    {#if lessonId && pair.why[0]}<Why of={{ lesson: lessonId }} key={pair.why[0]} name={pair.headline} />{/if}
    {#if pair.others.length}
      <ul class="mt-1 border-t border-hairline pt-1" data-others={pair.name}>
        {#each pair.others as one, n (one)}<li class="leading-snug">
            {one}
            {#if lessonId && pair.why[n + 1]}<Why
                of={{ lesson: lessonId }}
                key={pair.why[n + 1] ?? ''}
                name={one}
              />{/if}
          </li>{/each}
      </ul>
    {/if}
  {/each}
</div>
