<!-- A teaching drawing: a finger moves a lever, the picture follows; every picture was drawn before the finger comes. -->
<script lang="ts">
  import { page } from '$app/state'
  import Coming from '$lib/base/Coming.svelte'
  import { place } from '$lib/base/place.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { lessonQuery } from '$lib/data/queries.svelte'
  import DrawingMoved from '$lib/teach/DrawingMoved.svelte'
  import { drawingsQuery } from '$lib/teach/queries.svelte'

  const id = $derived(page.params.id ?? '')
  const show = $derived(page.url.searchParams.get('show') ?? '')
  const lesson = lessonQuery(() => id)
  const every = drawingsQuery()
  const chosen = $derived(every.data?.find((it) => it.code === show) ?? every.data?.[0])

  $effect(() => {
    const it = lesson.data
    if (it)
      place.set(
        [
          { words: 'Today', href: '/' },
          { words: it.golfer.name, href: `/golfers/${it.golfer.id}` },
          { words: 'Shown and moved' }
        ],
        it.lesson.invented
      )
  })
</script>

<svelte:head><title>{chosen?.name ?? 'Shown and moved'} · Libella</title></svelte:head>

<div class="flex min-h-full flex-col desk:h-full px-5 py-4">
  <h1 class="sr-only">Shown and moved</h1>
  {#if every.error}<Trouble error={every.error} again={() => every.refetch()} />{/if}
  {#if every.data}
    <ul class="flex flex-wrap gap-1.5 border-b-2 border-ink pb-3" aria-label="What is shown">
      {#each every.data as it (it.code)}
        <li>
          <a
            class="button px-3 text-[15px] {it.code === chosen?.code ? 'bg-ink text-paper!' : ''}"
            href="/lessons/{id}/teaching?show={it.code}"
            aria-current={it.code === chosen?.code ? 'true' : undefined}
            data-drawing={it.code}>{it.name}</a
          >
        </li>
      {/each}
    </ul>
    {#if chosen}{#key chosen.code}<DrawingMoved lessonId={id} code={chosen.code} />{/key}{/if}
  {:else}
    <Coming page what="The drawings" />
  {/if}
</div>
