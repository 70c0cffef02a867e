<!-- One block judged: tendency or chance, how big against what the hole allows, what to work on. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import { judgedQuery } from '$lib/data/queries.svelte'
  import { findingsQuery, furtherQuery, readQuery } from './queries.svelte'
  import Said from '$lib/base/Said.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import BlockSwitch from '$lib/start/BlockSwitch.svelte'
  import CompareBlocks from './CompareBlocks.svelte'
  import OwnComparison from './OwnComparison.svelte'
  import ReadRows from './ReadRows.svelte'
  import Why from './Why.svelte'
  import ShareOfFace from './ShareOfFace.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'
  import Unproved from '$lib/set/Unproved.svelte'

  interface Props {
    id: string
    sheet: Shapes['LessonSheetOut']
    /** The block to judge. */
    blockId: string
  }
  let { id, sheet, blockId }: Props = $props()

  const judged = judgedQuery(() => blockId)
  const it = $derived(judged.data?.judgement)
  const further = furtherQuery(
    () => blockId,
    () => it
  )
  const plan = $derived(sheet.stations.find((one) => one.id === judged.data?.block.station_id))
  const more = (n: number) => (n === 1 ? '1 more putt' : `${n} more putts`)
  const told = readQuery(
    () => blockId,
    () => it?.putts
  )
  const started = $derived(told.data?.read.find((one) => one.quantity === 'start'))
  const whole = findingsQuery(() => id)
</script>

{#if judged.error && !it}
  <div class="p-6"><Trouble error={judged.error} again={() => judged.refetch()} /></div>
{:else if judged.data && it}
  {@const block = judged.data.block}
  <div class="grid min-h-full grid-cols-1 desk:h-full desk:min-h-0 desk:grid-cols-[minmax(0,1fr)_320px]">
    <div class="flex min-h-0 flex-col overflow-y-auto px-6 py-4">
      <p class="text-faded">
        {block.station} · {block.condition || 'as usual'}{block.guided
          ? ', rig in view: this is the guided golfer'
          : ''} · {it.putts} of {it.planned} putts{plan && !plan.current ? ' · not the plan now' : ''}
      </p>
      {#if !block.proved && it.watched}
        <Unproved lessonId={id} {plan} class="mt-1" />
      {/if}
      {#if block.judged_again_at}<p class="mt-1 text-faded" data-judged-again>
          Judged again with the proof given {moment(block.judged_again_at)}, after its putts.
        </p>{/if}
      {#if told.data?.pace}<p class="mt-1 text-xl font-semibold" data-pace>
          {told.data.pace}
          <Why of={{ lesson: id, block: block.id }} key="finishes" name={told.data.pace} />
        </p>{/if}
      {#if it.watched}<Vial vial={it.vial} words="{it.headline} {it.size}" size="large" />{/if}
      <h1 class="wide mt-2 text-[34px] leading-tight" data-headline>
        <Said text={it.headline} /> <span class="font-text text-2xl font-normal tracking-normal">{it.size}</span>
      </h1>
      {#if it.counts}<p class="mt-1 text-lg font-semibold" data-counts>{it.counts}</p>{/if}
      <p class="mt-1 max-w-prose text-lg">
        <Said text={it.meaning} />
        {#if started}<Why of={{ lesson: id, block: block.id }} key={started.key} name={it.headline} />{/if}
      </p>
      {#if it.read}<p class="mt-1 max-w-prose font-semibold" data-read><Said text={it.read} /></p>{/if}
      {#if it.doubt}<p class="mt-1 text-faded"><Said text={it.doubt} /></p>{/if}
      <OwnComparison lessonId={id} {block} />
      {#if it.watched}
        <div class="relative mt-3 min-h-[210px] flex-1 border-t border-hairline pt-1" data-stage>
          <Stage scene={judged.data.rays} stretch="fitting" />
        </div>
      {/if}
      <CompareBlocks blocks={sheet.blocks} current={block} />
      {#if told.data?.read.length}
        <section class="mt-4">
          <h2 class="wide border-b-2 border-ink pb-1 text-xl">What was read of these putts</h2>
          <ReadRows rows={told.data.read} of={{ lesson: id, block: block.id }} />
        </section>
      {/if}
      {#if told.data?.tells_k}<ShareOfFace {block} />{/if}
    </div>
    <aside
      class="flex min-h-0 flex-col gap-4 overflow-y-auto border-hairline px-4 py-4 max-desk:border-t desk:border-l"
      aria-label="What to work on"
    >
      {#if it.final}
        <section>
          <h2 class="wide text-lg">The lesson says</h2>
          {#if whole.data}<p class="mt-1 text-lg leading-snug" data-work>{whole.data.headline}</p>{/if}
          <a class="button mt-2 min-h-12 w-full" href="/lessons/{id}/judge">The whole lesson</a>
          {#if it.gains.length}
            <table class="mt-2 w-full text-left">
              <caption class="label text-left">Putts in a hundred that would newly start inside the window</caption>
              <tbody>
                {#each it.gains as gain (gain.change)}
                  <tr class="border-t border-hairline">
                    <th scope="row" class="py-1.5 pr-2 font-normal">{gain.name}</th>
                    <td class="py-1.5 font-semibold">{gain.words}</td>
                  </tr>
                {/each}
              </tbody>
            </table>
          {/if}
        </section>
        <section class="border-t border-hairline pt-3">
          <h2 class="wide text-lg">More putts?</h2>
          <p class="mt-1" aria-live="polite">
            {further.data?.words ?? (further.error ? 'Not worked out just now.' : 'Playing the block on…')}
          </p>
        </section>
      {:else}
        <section>
          <h2 class="wide text-lg">Not yet</h2>
          <p class="mt-1">
            {more(it.planned - it.putts)} to the planned end. What it comes to is said then: whoever looks after every putt
            finds something in a third of innocent blocks.
          </p>
          <a class="button primary mt-3 min-h-14 w-full text-lg" href="/lessons/{id}/start?block={block.id}"
            >Go on recording</a
          >
        </section>
      {/if}
      <section class="border-t border-hairline pt-3">
        <h2 class="wide text-lg">What the hole allows</h2>
        <p class="mt-1"><Said text={it.allows} /></p>
        {#if it.chance}<p class="mt-1"><Said text={it.chance} /></p>{/if}
      </section>
      <details class="border-t border-hairline pt-1">
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">What was assumed</summary>
        <p class="text-[15px]">{it.prior}</p>
      </details>
      <p class="border-t border-hairline pt-2">
        <span class="label block">Its putts as a file</span>
        <a class="button mt-1 mr-2" href="/api/exports/block/{block.id}?form=csv" download>CSV</a>
        <a class="button mt-1" href="/api/exports/block/{block.id}?form=json" download>JSON</a>
      </p>
      <section class="mt-auto border-t border-hairline pt-3">
        <h2 class="wide text-lg">Blocks</h2>
        <BlockSwitch blocks={sheet.blocks} current={block.id} base="/lessons/{id}/judge" />
      </section>
    </aside>
  </div>
{:else}
  <Coming page what="The judgement" />
{/if}
