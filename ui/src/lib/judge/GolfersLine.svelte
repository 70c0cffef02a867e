<!-- A golfer's links pooled over lessons: a vial each, the path over time, and the changes noted on the way. -->
<script lang="ts">
  import { day } from '$lib/base/dates'
  import Trouble from '$lib/base/Trouble.svelte'
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import Sketch from '$lib/drawing/Sketch.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import LinesBeside from './LinesBeside.svelte'
  import { golferLineQuery } from './queries.svelte'
  import Why from './Why.svelte'
  import { noteChange, voidChange } from './writes'

  let { golferId }: { golferId: string } = $props()

  const pooled = golferLineQuery(() => golferId)
  const lines = $derived(pooled.data?.lines ?? [])
  const shares = $derived(pooled.data?.shares ?? [])
  const FIRST = 4
  let allShares = $state(false)
  let all = $state(false)
  let words = $state('')
  const noting = createWrite(noteChange, () => (words = ''))
  const voiding = createWrite((id: string) => voidChange(golferId, id))
  function note(event: SubmitEvent): void {
    event.preventDefault()
    if (words.trim()) noting.mutate({ golfer_id: golferId, words: words.trim(), made_at: stamp() })
  }
</script>

{#if pooled.error}
  <Trouble error={pooled.error} again={() => pooled.refetch()} />
{:else if lines.length || shares.length}
  <section class="mt-5" data-golfers-line>
    <h2 class="wide border-b-2 border-ink pb-1 text-xl">{lines.length ? 'The golfer’s line' : 'Over the lessons'}</h2>
    {#if pooled.data?.aside}<p class="py-2 text-faded">{pooled.data.aside}</p>{/if}
    <ol class="grid" aria-label="The golfer’s line, link by link">
      {#each all ? lines : lines.slice(0, FIRST) as it (it.key)}
        <li
          class="grid items-center gap-x-6 gap-y-1 border-b border-hairline py-3 md:grid-cols-[minmax(160px,240px)_1fr] lg:grid-cols-[minmax(180px,300px)_1fr_auto]"
        >
          <Vial vial={it.vial} words="{it.name}: {it.words}" size="row" />
          <div class="min-w-0 leading-snug">
            <p class="font-semibold">{it.name}</p>
            <p>{it.words}</p>
            {#each it.steps as step (step)}<p class="font-semibold">{step}</p>{/each}
            <Why of={{ golfer: golferId }} key={it.why} name={it.name} />
          </div>
          {#if it.path}
            <figure class="md:col-start-2 lg:col-start-3">
              <Sketch scene={it.path} width={240} height={64} />
              <figcaption class="flex justify-between text-[13px] text-faded">
                <span>{day(it.since)}</span><span>up: {it.up}</span><span>{day(it.until)}</span>
              </figcaption>
            </figure>
          {/if}
        </li>
      {/each}
    </ol>
    {#if lines.length > FIRST && !all}<button class="button mt-2" onclick={() => (all = true)}
        >All {lines.length} lines</button
      >{/if}
    {#if shares.length}
      <h3 class="wide mt-5 text-lg">How often</h3>
      <dl class="grid" data-shares>
        {#each allShares ? shares : shares.slice(0, FIRST) as it (it.name)}
          <div
            class="grid items-baseline gap-x-6 border-b border-hairline py-2 leading-snug md:grid-cols-[minmax(160px,240px)_1fr] lg:grid-cols-[minmax(180px,300px)_1fr]"
          >
            <dt class="font-semibold">{it.name}</dt>
            <dd>
              {it.words}
              <Why of={{ golfer: golferId }} key={it.why} name={it.name} />
            </dd>
          </div>
        {/each}
      </dl>
      {#if shares.length > FIRST && !allShares}<button class="button mt-2" onclick={() => (allShares = true)}
          >All {shares.length} of these</button
        >{/if}
    {/if}
    <LinesBeside {golferId} {lines} joins={pooled.data?.joins ?? []} />
    <form class="mt-3 flex flex-wrap items-end gap-2" onsubmit={note}>
      <label class="min-w-60 flex-1"
        ><span class="label">Something was changed today</span>
        <input class="entry" bind:value={words} maxlength="80" placeholder="new putter, eyes further in…" /></label
      >
      <button class="button" disabled={noting.isPending || !words.trim()}>Note the change</button>
    </form>
    {#if noting.error ?? voiding.error}<Trouble error={(noting.error ?? voiding.error)!} />{/if}
    {#each pooled.data?.changes ?? [] as it (it.id)}
      <p class="mt-1 flex items-center gap-3 text-[15px]">
        <span>{day(it.made_at)}: {it.words}</span><button class="button plain" onclick={() => voiding.mutate(it.id)}
          >Take back</button
        >
      </p>
    {/each}
  </section>
{/if}
