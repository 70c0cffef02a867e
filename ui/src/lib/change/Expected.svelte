<!-- What to expect on the course: the chance of holing by length with its band, what was recorded over it, putts in a round. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Why from '$lib/judge/Why.svelte'
  import Picture from '$lib/drawing/Picture.svelte'
  import SchoolMark from '$lib/schools/SchoolMark.svelte'
  import { expectedQuery } from './queries.svelte'

  let { golfer }: { golfer: { id: string; name: string } } = $props()
  const expected = expectedQuery(() => golfer.id)
  const it = $derived(expected.data)
</script>

<section class="mt-8" data-expected>
  <h2 class="wide border-b-2 border-ink pb-1 text-xl">What to expect</h2>
  {#if expected.error && !it}
    <Trouble error={expected.error} again={() => expected.refetch()} />
  {:else if !it}
    <Coming what="What to expect" />
  {:else if !it.picture}
    <p class="mt-2 text-lg">{it.words}</p>
  {:else}
    <p class="mt-2 text-lg font-semibold" data-round>{it.round}</p>
    {#if it.worth}<p class="mt-1 max-w-prose text-lg" data-worth>{it.worth}</p>{/if}
    {#each it.parts as one (one)}<p class="mt-1 max-w-prose text-lg" data-parts><Said text={one} /></p>{/each}
    <div class="mt-3"><Picture scene={it.picture} label="Holed of a hundred, by length" words={it.words} /></div>
    <ul class="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-[15px]" aria-label="What is drawn">
      <li>▬ expected, with its band</li>
      {#if it.change}<li>┄ with “{it.change}”</li>{/if}
      <li>■ holed in practice</li>
      <li>● holed on the course</li>
    </ul>
    <ul class="mt-2 grid gap-0.5" data-left>
      {#each it.left as one (one)}<li class="leading-snug">{one}</li>{/each}
    </ul>
    <p class="mt-2 max-w-prose text-[15px] text-faded" data-basis>{it.basis}</p>
    <Why of={{ golfer: golfer.id }} key={it.why} name="What to expect" />
    <SchoolMark of="capture" whose={{ golfer: golfer.id }} {golfer} />
  {/if}
</section>
