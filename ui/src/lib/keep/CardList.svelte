<!-- A golfer's set-up cards, newest first: read, printed, put away and brought back. -->
<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { save } from '$lib/data/save'
  import { renew } from '$lib/data/queries.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import { settings } from '$lib/base/settings.svelte'

  let { golferId }: { golferId: string } = $props()

  const client = useQueryClient()
  const cards = createQuery(() => ({
    queryKey: ['cards', golferId, settings.units],
    queryFn: () => ask(api.GET('/api/golfers/{id}/set-up-cards', { params: { path: { id: golferId }, query: { units: settings.units } } })),
  }))
  let gone = $state<Shapes['CardOut'] | null>(null)
  let error = $state<unknown>(null)
  let busy = $state('')

  async function away(it: Shapes['CardOut'], put_away: boolean): Promise<void> {
    error = null
    try {
      await ask(api.PUT('/api/set-up-cards/{id}/away', { params: { path: { id: it.id } }, body: { put_away } }))
      gone = put_away ? it : null
      await renew(client, ['cards', golferId])
    } catch (problem) {
      error = problem
    }
  }
  async function print(it: Shapes['CardOut'], what: 'card' | 'mirror'): Promise<void> {
    busy = it.id + what
    error = null
    try {
      const paper = settings.units === 'feet' ? ('letter' as const) : ('a4' as const)
      await save(
        api.GET('/api/set-up-cards/{id}/print', {
          params: { path: { id: it.id }, query: { what, paper, units: settings.units } },
          parseAs: 'blob',
        }),
        `set-up-${what}.pdf`,
      )
    } catch (problem) {
      error = problem
    }
    busy = ''
  }
</script>

{#if cards.error}<Trouble error={cards.error} again={() => cards.refetch()} />{/if}
{#if error}<Trouble {error} />{/if}
{#if gone}
  {@const it = gone}
  <p class="flex items-center gap-3 border-t border-hairline py-1">Put away. <button class="button plain" onclick={() => away(it, false)}>Bring it back</button></p>
{/if}
<ol aria-label="Set-up cards, newest first">
  {#each cards.data ?? [] as it, n (it.id)}
    <li class="grid gap-x-6 gap-y-2 border-t border-hairline py-3 sm:grid-cols-[1fr_auto]" data-card>
      <div>
        <p class="font-bold first-letter:uppercase">{it.change}</p>
        <p class="text-faded">{moment(it.kept_at)}{n === 0 ? ' · gone by now' : ''}</p>
        {#if it.note}<p>{it.note}</p>{/if}
        <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-4">
          {#each it.rows as row (row.name)}<dt class="text-faded">{row.name}</dt><dd>{row.size}</dd>{/each}
        </dl>
      </div>
      <div class="flex flex-wrap content-start gap-2">
        <button class="button" disabled={Boolean(busy)} onclick={() => print(it, 'card')}>{busy === `${it.id}card` ? 'Drawing…' : 'Print card'}</button>
        {#if it.has_eyes}<button class="button" disabled={Boolean(busy)} onclick={() => print(it, 'mirror')}>{busy === `${it.id}mirror` ? 'Drawing…' : 'Print mirror overlay'}</button>{/if}
        <button class="button plain" onclick={() => away(it, true)}>Put away</button>
      </div>
    </li>
  {:else}
    {#if cards.data}<li class="border-t border-hairline py-2 text-faded">No card yet.</li>{/if}
  {/each}
</ol>
