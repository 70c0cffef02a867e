<!-- What moves the looks-straight angle for this golfer: the map, the smallest playable change, what to ask next. -->
<script lang="ts">
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import Why from '$lib/judge/Why.svelte'
  import CardList from '$lib/keep/CardList.svelte'
  import KeepSetUp from './KeepSetUp.svelte'
  import { mapQuery } from './queries.svelte'
  import { keepCard } from './writes'

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
    /** Set-ups named in this lesson so far: each can be a card of its own. */
    setUps: string[]
    /** Ask what looks straight with these levers moved. */
    askAt: (position: Record<string, number>) => void
  }
  let { lessonId, golfer, setUps, askAt }: Props = $props()

  const map = mapQuery(() => lessonId)
  let note = $state('')
  let beliefs = $state(false)
  const sheet = $derived(map.data)
  const change = $derived(sheet?.change?.position ?? null)
  const tried = $derived((sheet?.words.effects ?? []).filter((it) => beliefs || it.tried))
  const keeping = createWrite(
    (position: Record<string, number>) =>
      keepCard(golfer.id, { lesson_id: lessonId, position, set_up: '', note, kept_at: stamp() }),
    () => (note = '')
  )
</script>

{#if map.error}
  <Trouble error={map.error} again={() => map.refetch()} />
{:else if sheet}
  <div class="grid gap-x-8 gap-y-5 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
    <div>
      <div class="relative aspect-[208/174] w-full border border-hairline" data-map><Stage scene={sheet.scene} /></div>
      <p class="mt-1 text-sm text-faded">
        From above, in mm from where the head usually is. Thick: straight looks straight. Shaded: it may well. Thin: it
        is seen the same along each. A cross can’t be played from.
      </p>
    </div>
    <div>
      <h1 class="wide text-xl" data-map-headline>{sheet.words.headline}</h1>
      <p class="mt-1">
        {sheet.words.sure}
        {#if sheet.places.length}<Why of={{ map: lessonId }} key="map" name={sheet.words.headline} />{/if}
      </p>
      {#each sheet.words.roads as it, n (it)}
        {#if n === 0}<p class="mt-2 font-semibold">Other roads, by opinion:</p>{/if}
        <p class="border-l-2 border-hairline pl-3">{it}</p>
      {/each}
      <p class="mt-3 font-semibold" data-next>{sheet.words.next}</p>
      <div class="mt-2 flex flex-wrap gap-2">
        {#if sheet.next}
          {@const next = sheet.next}
          <button class="button primary min-h-14 px-5 text-lg" onclick={() => askAt(next)}>Ask there</button>
        {/if}
      </div>
      {#if sheet.left_out}<p class="mt-2 text-faded">
          {sheet.left_out} shown under other conditions (eyes, glasses, tracing) not on this map.
        </p>{/if}
      <div class="mt-4 border-t-2 border-ink pt-3" data-effects>
        <div class="flex items-center justify-between gap-3">
          <h2 class="wide text-lg">What each does</h2>
          <button class="button" aria-pressed={beliefs} onclick={() => (beliefs = !beliefs)}
            >{beliefs ? 'Only what was measured' : 'What coaches believe'}</button
          >
        </div>
        {#each tried as it (it.lever)}
          <div class="border-b border-hairline py-2">
            <p class="font-semibold">{it.name}</p>
            {#if beliefs && it.one_belief}<p class="text-faded">◂ {it.one_belief}</p>
              <p class="text-faded">▸ {it.other_belief}</p>{/if}
            <p>
              {it.measured}
              {#if it.tried}<Why of={{ map: lessonId }} key={it.lever} name={it.name} />{/if}
            </p>
          </div>
        {:else}
          <p class="mt-1">Nothing was moved yet.</p>
        {/each}
      </div>
      <div class="mt-4 border-t-2 border-ink pt-3" data-aim>
        <h2 class="wide text-lg">{sheet.aim.headline}</h2>
        <p>{sheet.aim.why}</p>
      </div>
    </div>
  </div>
  {#if sheet.places.length}
    <ol class="mt-5 border-t-2 border-ink" aria-label="Places asked at">
      {#each sheet.places as it (it.id)}
        <li class="grid gap-x-5 border-b border-hairline py-2 sm:grid-cols-[1fr_1.6fr_1fr]">
          <span class="font-semibold first-letter:uppercase">{it.where}</span>
          <span>{it.headline}{it.tells ? '' : ' Not on the map.'}</span>
          <span class="text-faded">
            {[
              it.playable ? '' : 'can’t be played from',
              it.comfort ? `comfort ${it.comfort} of 5` : '',
              it.trust ? `trust ${it.trust} of 5` : ''
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
        </li>
      {/each}
    </ol>
  {/if}
  <div class="mt-5 border-t-2 border-ink pt-3">
    <h2 class="wide text-lg">Set-up card</h2>
    <p class="max-w-2xl">
      What the golfer goes by from now on: the set-up, where the eyes are, what looks straight there; and what the quick
      check is held against.
    </p>
    <label class="mt-2 block max-w-xl"
      ><span class="label">A note on it</span><input
        class="entry"
        bind:value={note}
        maxlength="400"
        placeholder="feel, a word that helps…"
      /></label
    >
    {#if keeping.error}<div class="mt-2"><Trouble error={keeping.error} /></div>{/if}
    <div class="mt-2 flex flex-wrap gap-2">
      {#if change}<button
          class="button primary min-h-12"
          disabled={keeping.isPending}
          onclick={() => keeping.mutate(change)}>Keep the change</button
        >{/if}
      <button class="button min-h-12" disabled={keeping.isPending} onclick={() => keeping.mutate({})}
        >Keep this set-up as it is</button
      >
      {#each setUps as it (it)}<KeepSetUp {lessonId} golferId={golfer.id} setUp={it} {note} />{/each}
    </div>
    <div class="mt-3"><CardList golferId={golfer.id} /></div>
  </div>
{:else}
  <Coming page what="The map" />
{/if}
