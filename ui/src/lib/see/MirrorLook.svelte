<!-- Both eyes marked on the mirror or by plumb, each with the other shut, and the sizes it is read with. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { typedNumber } from '$lib/base/number'
  import { outbox } from '$lib/data/outbox.svelte'
  import { refusal, type Shapes } from '$lib/data/client'
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import MirrorTap from '$lib/drawing/MirrorTap.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import PercentEntry from '$lib/base/PercentEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { rereadable, type EyesLook } from './eyes.svelte'
  import OneWay from './OneWay.svelte'
  import { placeWords, type Place } from './place'
  import { eyesThing, keepTake } from './writes'

  formOf('small')

  interface Props {
    lessonId: string
    hand: Shapes['GolferBrief']['hand']
    sheet: Shapes['EyesSheetOut']
    look: EyesLook
  }
  let { lessonId, hand, sheet, look }: Props = $props()

  const keeping = createWrite(keepTake)
  const fault = $derived(keeping.error ? refusal(keeping.error) : null)
  const waiting = $derived(outbox.of(eyesThing(lessonId)).length)
  const last = $derived(rereadable(sheet.takes))
  const eyes = $derived([
    { name: 'Lead eye', field: 'lead', at: look.lead, set: (at: Place) => (look.lead = at) },
    { name: 'Trail eye', field: 'trail', at: look.trail, set: (at: Place) => (look.trail = at) },
    ...(look.noseToo ? [{ name: 'Nose', field: 'nose', at: look.nose, set: (at: Place) => (look.nose = at) }] : [])
  ])
  function keep(): void {
    const told = look.told(lessonId, sheet.takes, stamp())
    if (!told) return
    const { rereading } = look
    keeping.mutate(told, {
      // What is refused stands again as it was marked, unless the next look is begun.
      onError: () => {
        if (look.lead) return
        look.mark(told.lead)
        look.mark(told.trail)
        if (told.nose) look.mark(told.nose)
        look.shoulders_deg = told.shoulders_deg ?? null
        look.rereading = rereading
      }
    })
    look.again()
    look.rereading = false
  }
  function again(): void {
    look.again()
    keeping.reset()
  }
</script>

{#if look.one_way}
  <OneWay {lessonId} {look} />
  <button class="button mt-3" onclick={() => (look.one_way = false)}>Mark both eyes</button>
{:else}
  <p class="text-lg" data-wanted>
    {#if look.rereading}<span class="font-semibold">Read the same look again, nothing moved. </span>{/if}
    {#if look.wanted}
      <strong>{look.wanted}:</strong>
      {look.wanted === 'Nose' ? '' : 'the golfer shuts the other one; '}tap where it {look.way === 'mirror'
        ? 'shows in the mirror'
        : 'hangs'}.
    {:else}
      {look.noseToo ? 'Eyes and nose are marked.' : 'Both eyes are marked.'}
    {/if}
  </p>
  <MirrorTap
    scene={sheet.mirror}
    {hand}
    wanted={look.wanted}
    said={placeWords}
    mark={(at) => look.mark(at)}
    marks={eyes}
  />
  <div class="mt-3 grid grid-cols-2 gap-x-5 gap-y-3">
    {#each eyes as it (it.name)}
      <LengthEntry
        of="eye_inside_m"
        label="{it.name} inside"
        value={it.at?.inside_m ?? 0}
        error={fault?.about(`${it.field}.inside_m`) ?? fault?.about(it.field)}
        onvalue={(m) => it.set({ behind_m: it.at?.behind_m ?? 0, inside_m: m })}
      />
      <LengthEntry
        of="eye_behind_m"
        label="{it.name} behind"
        value={it.at?.behind_m ?? 0}
        error={fault?.about(`${it.field}.behind_m`)}
        onvalue={(m) => it.set({ inside_m: it.at?.inside_m ?? 0, behind_m: m })}
      />
    {/each}
  </div>
  {#if keeping.error}<div class="mt-3"><Trouble error={keeping.error} /></div>{/if}
  {#if look.way === 'mirror'}
    <div class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-2">
      <label class="flex min-h-11 items-center gap-3"
        ><input type="checkbox" class="size-6 accent-(--ink)" bind:checked={look.noseToo} /><span
          >Mark the nose too</span
        ></label
      >
      <div class="w-64">
        <Stepper
          label="Shoulders in the mirror"
          unit="°"
          hint="Right of its lines +, left −; empty: not looked."
          text={look.shoulders_deg === null ? '' : String(look.shoulders_deg)}
          read={typedNumber}
          error={fault?.about('shoulders_deg')}
          step={(by) => (look.shoulders_deg = (look.shoulders_deg ?? 0) + by * 0.5)}
          onvalue={(it) => (look.shoulders_deg = it)}
        />
      </div>
    </div>
  {/if}
  <div class="mt-3 flex gap-3">
    <button
      class="button primary min-h-14 flex-1 text-lg"
      disabled={!look.lead || !look.trail || look.wanted === 'Nose'}
      onclick={keep}>Keep this look</button
    >
    <button class="button" disabled={!look.lead} onclick={again}>Mark again</button>
    <button class="button" onclick={() => (look.one_way = true)}>One way alone…</button>
  </div>
  {#if last}
    <label class="mt-2 flex min-h-11 items-center gap-3">
      <input type="checkbox" class="size-6 accent-(--ink)" bind:checked={look.rereading} />
      <span>This reads the last look once more, by you or a second reader: it tells how well it is read.</span>
    </label>
  {/if}
{/if}
{#if waiting}<p class="mt-2 text-faded" role="status">
    ◌ {waiting === 1 ? 'One look is' : `${waiting} looks are`} on the way.
  </p>{/if}
<div class="mt-4 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 border-t border-hairline pt-3">
  <LengthEntry
    of="eye_seen_m"
    value={look.seen_m}
    error={fault?.about('seen_m')}
    onvalue={(it) => (look.seen_m = it)}
  />
  {#if look.way === 'mirror'}
    <PercentEntry
      label="Mirror falls to the golfer"
      hint="By the bubble, across the line."
      value={look.level.falls_in_percent}
      error={fault?.about('falls_in_percent')}
      onvalue={(it) => (look.level.falls_in_percent = it)}
    />
    <PercentEntry
      label="Falls away from the hole"
      hint="By the bubble, along the line."
      value={look.level.falls_back_percent}
      error={fault?.about('falls_back_percent')}
      onvalue={(it) => (look.level.falls_back_percent = it)}
    />
    <PercentEntry
      label="Level read to ±"
      hint="What it leaves unknown is drawn as a patch."
      value={look.level.level_doubt_percent}
      error={fault?.about('level_doubt_percent')}
      onvalue={(it) => (look.level.level_doubt_percent = it)}
    />
    <LengthEntry
      of="eye_height_m"
      value={look.eye_height_m}
      error={fault?.about('eye_height_m')}
      onvalue={(it) => (look.eye_height_m = it)}
    />
  {/if}
</div>
