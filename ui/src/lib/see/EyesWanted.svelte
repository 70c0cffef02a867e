<!-- Where a golfer's eyes are wanted, which is an opinion, and which eye sights. -->
<script lang="ts">
  import { about, type Shapes } from '$lib/data/client'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import SchoolMark from '$lib/schools/SchoolMark.svelte'
  import { wantEyes } from './writes'

  interface Props {
    lessonId: string
    golfer: Shapes['GolferBrief']
    sheet: Shapes['EyesSheetOut']
  }
  let { lessonId, golfer, sheet }: Props = $props()

  type Wanted = Pick<Shapes['EyesSheetOut'], 'zone_mm'> & {
    sighting_eye: Shapes['EyesSheetOut']['sighting_eye'] | null
  }
  const SIGHTING = choices<Shapes['EyesSheetOut']['sighting_eye']>('sighting_eye')
  const wanting = createWrite((it: Wanted) => wantEyes(lessonId, golfer.id, it as Parameters<typeof wantEyes>[2]))
  const edges = [0, 1] as const
  const want = (change: Partial<Wanted>) => wanting.mutate({ zone_mm: sheet.zone_mm, sighting_eye: null, ...change })
  function edge(n: 0 | 1, mm: number): void {
    if (sheet.zone_mm) want({ zone_mm: edges.map((other) => (other === n ? mm : (sheet.zone_mm?.[other] ?? 0))) })
  }
</script>

<Choice
  label="Sighting eye"
  options={SIGHTING}
  bind:value={() => sheet.sighting_eye, (sighting_eye) => want({ sighting_eye })}
/>
<p class="mt-1 mb-4 text-sm text-faded">
  Both eyes open, a far mark through a gap between the hands; shut one: with the sighting eye it stays.
</p>
<h2 class="label">Where {golfer.name}’s eyes are wanted: an opinion</h2>
<SchoolMark of="eyes" whose={{ lesson: lessonId }} {golfer} />
{#if sheet.zone_mm}
  <div class="mt-3 grid grid-cols-2 gap-x-5">
    {#each edges as n (n)}
      <LengthEntry
        of="eye_inside_m"
        label={n ? 'To, inside' : 'From, inside'}
        value={(sheet.zone_mm[n] ?? 0) / 1000}
        by={0.005}
        onvalue={(metres) => edge(n, Math.round(metres * 1e8) / 1e5)}
        error={about(wanting.error, `zone_mm.${n}`)}
      />
    {/each}
  </div>
{/if}
{#if wanting.error && !edges.some((n) => about(wanting.error, `zone_mm.${n}`))}<div class="mt-2">
    <Trouble error={wanting.error} />
  </div>{/if}
