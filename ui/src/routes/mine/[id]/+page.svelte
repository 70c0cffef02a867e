<!-- A lesson's sheet as its golfer sees it, signed in himself. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { api } from '$lib/data/client'
  import { save } from '$lib/data/save'
  import { createAsk } from '$lib/data/write.svelte'
  import SheetFace from '$lib/keep/SheetFace.svelte'
  import SheetMind from '$lib/keep/SheetMind.svelte'
  import { ownSheetQuery } from '$lib/people/mine'

  const id = $derived(page.params.id ?? '')
  const sheet = ownSheetQuery(() => id)
  const it = $derived(sheet.data)
  $effect(() => place.set([{ words: 'Yours', href: '/mine' }, { words: it?.under ?? 'A lesson' }], false))
  const printing = createAsk(() =>
    save(
      api.GET('/api/mine/sheets/{id}/paper', {
        params: {
          path: { id }
        },
        parseAs: 'blob'
      }),
      'golfers-sheet.pdf'
    )
  )
</script>

<svelte:head><title>A lesson · Libella</title></svelte:head>

{#if sheet.error}
  <div class="p-6"><Trouble error={sheet.error} again={() => sheet.refetch()} /></div>
{:else if it}
  <div class="mx-auto max-w-[820px] px-5 py-5" data-own-sheet>
    <div class="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
      <div>
        <h1 class="wide text-2xl">{it.golfer}</h1>
        <p class="text-faded">{it.under}</p>
      </div>
      <button class="button min-h-14" disabled={printing.isPending} onclick={() => printing.mutate(undefined)}
        >{printing.isPending ? 'Drawing…' : 'On paper'}</button
      >
    </div>
    {#if printing.error}<Trouble error={printing.error} />{/if}
    <SheetFace {it} />
    {#if it.note}
      <h2 class="wide mt-4 text-lg">From your coach</h2>
      <p class="text-lg leading-snug whitespace-pre-line">{it.note}</p>
    {/if}
    <SheetMind {it} />
  </div>
{:else}
  <Coming page what="The sheet" />
{/if}
