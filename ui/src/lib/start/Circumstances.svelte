<!-- What lay on a whole block alike: who looked at its string, what disturbed it, and how it felt. Each tap is kept at once. -->
<script lang="ts">
  import { choices, named } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import type { Shapes } from '$lib/data/client'
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { tellCircumstances } from './writes'

  interface Props {
    lessonId: string
    block: Pick<Shapes['BlockOut'], 'id' | 'disturbances' | 'comfort' | 'trust' | 'looker'>
    laid: Pick<Shapes['StationOut'], 'rig_kind' | 'aids'> | undefined
  }
  let { lessonId, block, laid }: Props = $props()

  const OVER_LINE = new Set(['raised_string', 'elevated_string'])
  /** A string hangs over the line: who looks at it can be said. */
  const strung = $derived(laid && [laid.rig_kind, ...laid.aids.map((it) => it.kind)].some((it) => OVER_LINE.has(it)))
  const DISTURBANCES = choices<string>('disturbance')
  const LOOKERS = choices<Shapes['CircumstancesIn']['looker']>('looker')
  const SCORES = choices<string>('score')
  const keeping = createWrite((body: Shapes['CircumstancesIn']) => tellCircumstances(lessonId, block.id, body))
  const now = $derived({
    disturbances: block.disturbances,
    comfort: block.comfort,
    trust: block.trust,
    looker: block.looker
  })
  const told = $derived([
    ...block.disturbances.map((it) => named('disturbance', it)),
    ...(block.comfort ? [`comfort ${block.comfort} of 5`] : []),
    ...(block.trust ? [`trust ${block.trust} of 5`] : [])
  ])
  function disturb(it: string): void {
    const disturbances = now.disturbances.includes(it)
      ? now.disturbances.filter((one) => one !== it)
      : [...now.disturbances, it]
    keeping.mutate({ ...now, disturbances })
  }
  function score(of: 'comfort' | 'trust', value: string): void {
    // The same again takes it back.
    keeping.mutate({ ...now, [of]: now[of] === Number(value) ? null : Number(value) })
  }
</script>

<section data-circumstances>
  {#if strung}
    <div class="mb-3">
      <Choice
        label="Who sees on which side of the string?"
        options={LOOKERS}
        small
        value={now.looker}
        onchange={(looker) => keeping.mutate({ ...now, looker })}
      />
    </div>
  {/if}
  <p class="mb-2"><strong>Disturbed, and how it felt:</strong> {told.join(', ') || 'nothing noted'}</p>
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="What disturbed this block">
    {#each DISTURBANCES as it (it.value)}
      <button
        type="button"
        class="button px-3 {now.disturbances.includes(it.value) ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={now.disturbances.includes(it.value)}
        onclick={() => disturb(it.value)}>{it.words}</button
      >
    {/each}
  </div>
  {#each [['comfort', 'Comfortable'], ['trust', 'Trusts it']] as const as [of, label] (of)}
    <div class="mt-2 flex items-center gap-1.5" role="group" aria-label="{label}, 1 to 5">
      <span class="w-28 text-faded">{label}</span>
      {#each SCORES as it (it.value)}
        <button
          type="button"
          class="button min-w-11 px-0 {String(now[of]) === it.value ? 'border-ink bg-ink text-paper!' : ''}"
          aria-pressed={String(now[of]) === it.value}
          onclick={() => score(of, it.value)}>{it.words}</button
        >
      {/each}
    </div>
  {/each}
  <p class="mt-1 text-sm text-faded">
    A disturbance makes the bias less sure by a stated amount: an opinion. Which ones, and by how much, is said beside
    it.
  </p>
  {#if keeping.error}<Trouble error={keeping.error} />{/if}
</section>
