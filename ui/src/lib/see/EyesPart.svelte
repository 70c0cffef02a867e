<!-- Where the eyes are: each marked on the mirror with the other closed, corrected for the mirror's level. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import type { Shapes } from '$lib/data/client'
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { WAY_PICTURES } from './ways'
  import { EyesLook, type Way } from './eyes.svelte'
  import EyesWanted from './EyesWanted.svelte'
  import KeepSetUp from './KeepSetUp.svelte'
  import MirrorLook from './MirrorLook.svelte'
  import { lookWords } from './place'
  import { eyesQuery } from './queries.svelte'
  import PutRight from '$lib/set/PutRight.svelte'
  import ToolTrue from '$lib/set/ToolTrue.svelte'
  import SideLook from './SideLook.svelte'
  import { voidTake } from './writes'

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
    /** Set-ups named in this lesson so far. */
    setUps: string[]
  }
  let { lessonId, golfer, setUps }: Props = $props()

  const eyes = eyesQuery(() => lessonId)
  const sheet = $derived(eyes.data)
  const look = new EyesLook()
  /** Side by side, the one looked at last first. */
  const shown = $derived(
    sheet
      ? [...sheet.set_ups].sort((one, other) => Number(other.name === sheet.set_up) - Number(one.name === sheet.set_up))
      : []
  )
  $effect(() => {
    if (sheet) untrack(() => look.begin(sheet))
  })
  const WAYS = $derived(choices<Way>('eye_way').map((it) => ({ ...it, picture: WAY_PICTURES[it.value] })))
  /** The looks whose sizes are put right: those taken as the newest of each way was. */
  let righting = $state(false)
  let wrong = $state('')
  const newest = $derived(
    (sheet?.takes ?? [])
      .filter((it) => !it.voided)
      .filter((it, n, all) => !all.slice(n + 1).some((one) => one.way === it.way && one.set_up === it.set_up))
  )
  const voiding = createWrite((it: { id: string; voided: boolean }) => voidTake(lessonId, it))
</script>

{#if eyes.error}
  <Trouble error={eyes.error} again={() => eyes.refetch()} />
{:else if sheet}
  <div class="grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
    <div>
      <div class="mb-4">
        <NameChoice
          label="The set-up that is looked at"
          names={setUps}
          bind:value={look.set_up}
          another="Another set-up…"
          kind="set_up"
        />
      </div>
      <div class="mb-4"><Choice label="How they are found" options={WAYS} small bind:value={look.way} /></div>
      {#if look.way === 'mirror'}<div class="mb-4"><ToolTrue {lessonId} kind="ground_mirror" /></div>{/if}
      {#if look.way === 'strip' && look.strip.device}<div class="mb-4">
          {#key look.strip.device}<ToolTrue {lessonId} kind="strip_{look.strip.device}" />{/key}
        </div>{/if}
      {#if look.way === 'string' || look.way === 'strip'}
        <SideLook {lessonId} hand={golfer.hand} way={look.way} sightingEye={sheet.sighting_eye} {look} />
      {:else}
        <MirrorLook {lessonId} hand={golfer.hand} {sheet} {look} />
      {/if}
    </div>
    <div>
      {#each shown as it (it.name)}
        <section
          class="mb-4 {shown.length > 1 ? 'border-b border-hairline pb-3' : ''}"
          data-set-up={it.name || 'as usual'}
        >
          {#if shown.length > 1}<h2 class="label">{it.name || 'as usual'}</h2>{/if}
          <Vial vial={it.vial} words={it.words.join(' ')} size={shown.length > 1 ? 'row' : undefined} />
          {#if it.name === sheet.set_up}
            <div class="mt-3 grid gap-1.5" aria-live="polite" data-eye-words>
              {#each it.words as said, n (said)}<p class={n ? '' : 'wide text-xl'}>{said}</p>{/each}
            </div>
          {:else}<p class="mt-1">{it.words[0]}</p>{/if}
          {#if it.moved}<p class="font-semibold" data-moved>{it.moved}</p>{/if}
          {#if it.name}<div class="mt-2"><KeepSetUp {lessonId} golferId={golfer.id} setUp={it.name} /></div>{/if}
        </section>
      {/each}
      {#if voiding.error}<div class="mt-3"><Trouble error={voiding.error} /></div>{/if}
      {#if sheet.takes.length}
        <ol class="mt-4" aria-label="Looks, newest first">
          {#each sheet.takes.toReversed() as it (it.id)}
            <li
              class="flex items-center justify-between gap-3 border-t border-hairline py-1 {it.voided
                ? 'text-faded line-through'
                : ''}"
            >
              <span
                >{lookWords(it)}{it.reread_of ? ', read again' : ''}{shown.length > 1
                  ? ` · ${it.set_up || 'as usual'}`
                  : ''}</span
              >
              <button
                class="button plain"
                disabled={voiding.isPending}
                onclick={() => voiding.mutate({ id: it.id, voided: !it.voided })}
                >{it.voided ? 'Restore' : 'Void'}</button
              >
            </li>
          {/each}
        </ol>
        <div class="mt-2 flex flex-wrap gap-2">
          {#each newest as it (it.id)}
            <button
              class="button plain text-left"
              onclick={() => {
                wrong = it.id
                righting = true
              }}
              >A size was entered wrong…{#if newest.length > 1}<span class="text-faded"
                  >{named('eye_way', it.way)}{shown.length > 1 ? `, ${it.set_up || 'as usual'}` : ''}</span
                >{/if}</button
            >
          {/each}
        </div>
      {/if}
      <div class="mt-5 border-t-2 border-ink pt-3"><EyesWanted {lessonId} {golfer} {sheet} /></div>
    </div>
  </div>
{/if}
{#if wrong}<PutRight bind:open={righting} {lessonId} of="looks" id={wrong} />{/if}
