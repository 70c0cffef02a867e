<!-- Print in true size: the station sheet, and templates cut for this plan. -->
<script lang="ts">
  import { api, type Shapes } from '$lib/data/client'
  import { save } from '$lib/data/save'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { usualPaper } from '$lib/base/settings.svelte'
  import type { Plan } from './plan'
  import { printsQuery } from './queries.svelte'

  interface Props {
    plan: Plan
    hand: Shapes['GolferBrief']['hand']
    title: string
    /** Of the lesson's papers. */
    units: Shapes['LessonOut']['units']
  }
  let { plan, hand, title, units }: Props = $props()

  const prints = printsQuery()
  const PAPERS = choices<'a4' | 'letter'>('paper')
  // svelte-ignore state_referenced_locally
  let paper = $state<'a4' | 'letter'>(usualPaper(units))

  const fetched = (name: string, form: 'pdf' | 'svg', sheet: number) =>
    save(
      api.POST('/api/prints/{name}', {
        params: { path: { name }, query: { form, paper, sheet, units } },
        body: { ...$state.snapshot(plan), hand, title },
        parseAs: 'blob'
      }),
      `${name}.${form}`
    )
  interface Print {
    it: Shapes['PrintOut']
    form: 'pdf' | 'svg'
  }
  const printing = createAsk(async ({ it, form }: Print) => {
    const sheets = await fetched(it.name, form, 1)
    // One file holds one SVG: the other sheets follow.
    if (form === 'svg') for (let n = 2; n <= sheets; n++) await fetched(it.name, form, n)
    return sheets
  })
  const now = $derived(printing.variables)
  const said = $derived.by(() => {
    if (printing.isPending) return `Drawing ${now?.it.title}…`
    const sheets = printing.data
    return sheets === undefined ? '' : `${now?.it.title}: ${sheets === 1 ? 'one sheet' : `${sheets} sheets`} saved.`
  })
  const drawing = (name: string, form: Print['form']) =>
    printing.isPending && now?.it.name === name && now.form === form
</script>

<div class="flex flex-wrap items-end gap-5">
  <Choice label="Paper" options={PAPERS} bind:value={paper} />
  <p class="max-w-sm text-faded">
    Print at 100 %, never fitted to the page. On every sheet a bar must measure {units === 'metric'
      ? '100 mm'
      : '3 15/16 in'}.
  </p>
</div>
<p class="mt-2 min-h-6 font-semibold" aria-live="polite" data-print-said>{said}</p>
{#if printing.error}<Trouble error={printing.error} />{/if}
{#if prints.error}<Trouble error={prints.error} again={() => prints.refetch()} />{/if}
<ul aria-label="Sheets to print">
  {#each prints.data ?? [] as it (it.name)}
    <li class="flex items-center justify-between gap-4 border-t border-hairline py-2.5" data-print={it.name}>
      <div>
        <h3 class="font-semibold">{it.title}</h3>
        <p class="text-[15px] text-faded">{it.words}</p>
      </div>
      <div class="flex shrink-0 gap-2">
        <button
          class="button"
          type="button"
          aria-label="{it.title} as PDF"
          disabled={printing.isPending}
          onclick={() => printing.mutate({ it, form: 'pdf' })}>{drawing(it.name, 'pdf') ? 'Drawing…' : 'PDF'}</button
        >
        <button
          class="button"
          type="button"
          aria-label="{it.title} as SVG"
          disabled={printing.isPending}
          onclick={() => printing.mutate({ it, form: 'svg' })}>{drawing(it.name, 'svg') ? 'Drawing…' : 'SVG'}</button
        >
      </div>
    </li>
  {/each}
</ul>
