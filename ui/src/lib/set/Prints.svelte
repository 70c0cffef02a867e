<!-- Print in true size: the station sheet, and templates cut for this plan. -->
<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { api, ask, type Shapes } from '$lib/data/client'
  import { save } from '$lib/data/save'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { settings } from '$lib/base/settings.svelte'
  import type { Plan } from './plan'

  interface Props {
    plan: Plan
    hand: Shapes['GolferBrief']['hand']
    title: string
  }
  let { plan, hand, title }: Props = $props()

  const prints = createQuery(() => ({
    queryKey: ['prints'],
    queryFn: () => ask(api.GET('/api/prints')),
    staleTime: Infinity,
  }))
  const PAPERS = [
    { value: 'a4' as const, words: 'A4' },
    { value: 'letter' as const, words: 'US Letter' },
  ]
  let paper = $state<'a4' | 'letter'>(settings.units === 'feet' ? 'letter' : 'a4')
  let busy = $state('')
  let said = $state('')
  let error = $state<unknown>(null)

  const fetched = (name: string, form: 'pdf' | 'svg', sheet: number) =>
    save(
      api.POST('/api/prints/{name}', {
        params: { path: { name }, query: { form, paper, sheet, units: settings.units } },
        body: { ...$state.snapshot(plan), hand, title },
        parseAs: 'blob',
      }),
      `${name}.${form}`,
    )
  async function print(it: Shapes['PrintOut'], form: 'pdf' | 'svg'): Promise<void> {
    busy = it.name + form
    error = null
    said = `Drawing ${it.title}…`
    try {
      const sheets = await fetched(it.name, form, 1)
      // One file holds one SVG: the other sheets follow.
      if (form === 'svg') for (let n = 2; n <= sheets; n++) await fetched(it.name, form, n)
      said = `${it.title}: ${sheets === 1 ? 'one sheet' : `${sheets} sheets`} saved.`
    } catch (problem) {
      error = problem
      said = ''
    }
    busy = ''
  }
</script>

<div class="flex flex-wrap items-end gap-5">
  <Choice label="Paper" options={PAPERS} bind:value={paper} />
  <p class="max-w-sm text-faded">Print at 100 %, never fitted to the page. On every sheet a bar must measure {settings.units === 'metric' ? '100 mm' : '3 15/16 in'}.</p>
</div>
<p class="mt-2 min-h-6 font-semibold" aria-live="polite" data-print-said>{said}</p>
{#if error}<Trouble {error} />{/if}
{#if prints.error}<Trouble error={prints.error} again={() => prints.refetch()} />{/if}
{#each prints.data ?? [] as it (it.name)}
  <div class="flex items-center justify-between gap-4 border-t border-hairline py-2.5" data-print={it.name}>
    <div>
      <h3 class="font-semibold">{it.title}</h3>
      <p class="text-[15px] text-faded">{it.words}</p>
    </div>
    <div class="flex shrink-0 gap-2">
      <button class="button" type="button" aria-label="{it.title} as PDF" disabled={Boolean(busy)} onclick={() => print(it, 'pdf')}>{busy === `${it.name}pdf` ? 'Drawing…' : 'PDF'}</button>
      <button class="button" type="button" aria-label="{it.title} as SVG" disabled={Boolean(busy)} onclick={() => print(it, 'svg')}>{busy === `${it.name}svg` ? 'Drawing…' : 'SVG'}</button>
    </div>
  </div>
{/each}
