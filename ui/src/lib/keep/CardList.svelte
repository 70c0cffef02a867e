<!-- A golfer's set-up cards, newest first: read, printed, put away and brought back. -->
<script lang="ts">
  import { api, type Shapes } from '$lib/data/client'
  import { cardsQuery } from '$lib/data/queries.svelte'
  import { save } from '$lib/data/save'
  import { createAsk, createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { settings, usualPaper } from '$lib/base/settings.svelte'
  import { named } from '$lib/data/vocabulary.svelte'
  import { photosQuery } from './queries.svelte'
  import CardFace from './CardFace.svelte'
  import { putCardAway } from './writes'

  let { golferId }: { golferId: string } = $props()

  const cards = cardsQuery(() => golferId)
  const photos = photosQuery(() => golferId)
  /** Of the lesson a card was kept in: how the golfer stood then. */
  const photosOf = (lesson: string) => (photos.data ?? []).filter((it) => it.lesson_id === lesson)
  let gone = $state<Shapes['CardOut'] | null>(null)

  interface Away {
    it: Shapes['CardOut']
    put_away: boolean
  }
  const away = createWrite(
    ({ it, put_away }: Away) => putCardAway(golferId, it.id, put_away),
    (_, { it, put_away }) => (gone = put_away ? it : null)
  )
  interface Print {
    id: string
    what: 'card' | 'mirror'
  }
  const print = createAsk(({ id, what }: Print) =>
    save(
      api.GET('/api/set-up-cards/{id}/print', {
        params: {
          path: { id },
          query: { what, paper: usualPaper(settings.units), units: settings.units }
        },
        parseAs: 'blob'
      }),
      `set-up-${what}.pdf`
    )
  )
  const drawing = (id: string, what: Print['what']) =>
    print.isPending && print.variables.id === id && print.variables.what === what
  const error = $derived(away.error ?? print.error)
</script>

{#if cards.error}<Trouble error={cards.error} again={() => cards.refetch()} />{/if}
{#if error}<Trouble {error} />{/if}
{#if gone}
  {@const it = gone}
  <p class="flex items-center gap-3 border-t border-hairline py-1">
    Put away. <button class="button plain" onclick={() => away.mutate({ it, put_away: false })}>Bring it back</button>
  </p>
{/if}
<ol aria-label="Set-up cards, newest first">
  {#each cards.data ?? [] as it, n (it.id)}
    <li class="grid gap-x-6 gap-y-2 border-t border-hairline py-3 sm:grid-cols-[1fr_auto]" data-card>
      <div>
        <CardFace {it} inUse={n === 0} />
        {#if photosOf(it.lesson_id).length}
          <div class="mt-2 flex flex-wrap gap-2" data-card-photos>
            {#each photosOf(it.lesson_id) as one (one.id)}
              <img
                class="h-32 border border-hairline"
                src="/api/photos/{one.id}/picture"
                alt={named('seen_from', one.seen_from)}
                loading="lazy"
              />
            {/each}
          </div>
        {/if}
      </div>
      <div class="flex flex-wrap content-start gap-2">
        <button class="button" disabled={print.isPending} onclick={() => print.mutate({ id: it.id, what: 'card' })}
          >{drawing(it.id, 'card') ? 'Drawing…' : 'Print card'}</button
        >
        {#if it.has_eyes}<button
            class="button"
            disabled={print.isPending}
            onclick={() => print.mutate({ id: it.id, what: 'mirror' })}
            >{drawing(it.id, 'mirror') ? 'Drawing…' : 'Print mirror overlay'}</button
          >{/if}
        <button class="button plain" onclick={() => away.mutate({ it, put_away: true })}>Put away</button>
      </div>
    </li>
  {:else}
    {#if cards.data}<li class="border-t border-hairline py-2 text-faded">No card yet.</li>{/if}
  {/each}
</ol>
