<!-- Keep: the lesson on one page, as the golfer takes it home; the coach adds words, never numbers. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { settings } from '$lib/base/settings.svelte'
  import { api } from '$lib/data/client'
  import { save } from '$lib/data/save'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import Picture from '$lib/drawing/Picture.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import { summaryQuery } from '$lib/keep/queries.svelte'
  import { noteSheet } from '$lib/keep/writes'

  const id = $derived(page.params.id ?? '')
  const summary = summaryQuery(() => id)
  const it = $derived(summary.data)
  let typed = $state<string | null>(null)
  const noting = createWrite(
    (note: string) => noteSheet(id, note),
    () => (typed = null)
  )
  const printing = createAsk((whole: boolean) =>
    save(
      api.GET('/api/lessons/{id}/golfers-sheet', {
        params: {
          path: { id },
          query: { paper: settings.units === 'feet' ? 'letter' : 'a4', whole, units: settings.units }
        },
        parseAs: 'blob'
      }),
      'golfers-sheet.pdf'
    )
  )
  const error = $derived(firstError([noting, printing]))
</script>

{#if summary.error && !it}
  <div class="p-6"><Trouble error={summary.error} again={() => summary.refetch()} /></div>
{:else if it}
  <div class="mx-auto max-w-[820px] px-6 py-5" data-summary>
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
      <div>
        <h1 class="wide text-2xl">The sheet to take home</h1>
        <p class="text-faded">{it.golfer} · {it.under}</p>
      </div>
      <div class="flex flex-wrap gap-2">
        {#if it.drill}
          <button class="button min-h-14" disabled={printing.isPending} onclick={() => printing.mutate(true)}
            >With station and card</button
          >
        {/if}
        <button
          class="button primary min-h-14 px-6 text-lg"
          disabled={printing.isPending}
          onclick={() => printing.mutate(false)}>{printing.isPending ? 'Drawing…' : 'Print it'}</button
        >
      </div>
    </div>
    {#if it.missing}<p class="mt-3 text-lg" data-missing>{it.missing}</p>{/if}
    {#if it.complaint}<p class="mt-3 text-lg">{it.complaint}</p>{/if}
    {#if it.picture}<div class="mt-2">
        <Picture small scene={it.picture} label={it.found[0] ?? ''} words={it.picture_words} />
      </div>{/if}
    <h2 class="wide mt-4 text-lg">What was found</h2>
    {#each it.found as one (one)}<p class="text-lg leading-snug"><Said text={one} /></p>{/each}
    {#if it.change.length}
      <h2 class="wide mt-4 text-lg">One change</h2>
      {#each it.change as one (one)}<p class="text-lg leading-snug first:font-semibold">{one}</p>{/each}
    {/if}
    {#if it.drill}
      <h2 class="wide mt-4 text-lg">The drill: {it.drill.name}</h2>
      <div class="relative mt-1 h-40 border border-hairline">
        <Stage scene={it.drill.stage} label={it.drill.stage.words} />
      </div>
      <ol class="mt-1 list-decimal pl-6 text-lg leading-snug">
        {#each it.drill.steps as one (one)}<li>{one}</li>{/each}
      </ol>
      <p class="leading-snug"><b>Goal:</b> {it.drill.goal} {it.drill.dose}</p>
    {/if}
    {#if it.week.length}
      <h2 class="wide mt-4 text-lg">The first week</h2>
      <ul class="grid gap-1">
        {#each it.week as one, n (n)}<li class="leading-snug">{one}</li>{/each}
      </ul>
    {/if}
    {#if it.first_check}
      <h2 class="wide mt-4 text-lg">First thing next time</h2>
      <p class="leading-snug" data-first-check>{it.first_check}</p>
    {/if}
    <label class="mt-4 block">
      <span class="label">In your own words</span>
      <textarea
        class="entry min-h-24 py-2"
        maxlength="600"
        value={typed ?? it.note}
        oninput={(event) => (typed = event.currentTarget.value)}
        onchange={() => typed !== null && noting.mutate(typed)}></textarea>
    </label>
    <h2 class="wide mt-4 text-lg">Mind</h2>
    <ul class="grid gap-1 pb-6">
      {#each it.cautions as one (one)}<li class="leading-snug">{one}</li>{/each}
    </ul>
    {#if error}<Trouble {error} />{/if}
  </div>
{:else}
  <Coming page what="The sheet" />
{/if}
