<script lang="ts" module>
  import type { Shapes } from '$lib/data/client'

  export type LessonDraft = Required<
    Pick<Shapes['LessonIn'], 'place' | 'surface' | 'green_speed_ft' | 'conditions'>
  > & {
    units: Shapes['LessonOut']['units']
  }
</script>

<!-- What is noted of a lesson. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import type { Refusal } from '$lib/data/client'
  import Choice from '$lib/base/Choice.svelte'
  import { choices, entry, stepped } from '$lib/data/vocabulary.svelte'
  import Stepper from '$lib/base/Stepper.svelte'

  let { draft = $bindable(), error }: { draft: LessonDraft; error: Refusal | null } = $props()

  const SURFACES = choices<LessonDraft['surface']>('surface')
  const UNITS = choices<LessonDraft['units']>('units')
</script>

<label class="block">
  <span class="label">Place</span>
  <input
    class="entry"
    bind:value={draft.place}
    maxlength="80"
    required
    aria-invalid={error?.about('place') ? 'true' : undefined}
  />
</label>
<Choice label="Surface" options={SURFACES} bind:value={draft.surface} />
<Stepper
  label={entry('green_speed_ft').label}
  unit="ft"
  hint={entry('green_speed_ft').hint}
  text={String(draft.green_speed_ft)}
  read={typedNumber}
  step={(direction) => (draft.green_speed_ft = stepped('green_speed_ft', draft.green_speed_ft, direction))}
  onvalue={(value) => (draft.green_speed_ft = value)}
  error={error?.about('green_speed_ft')}
/>
<label class="block">
  <span class="label">Conditions</span>
  <input class="entry" bind:value={draft.conditions} maxlength="400" placeholder="lights dimmed, damp, wind…" />
</label>
<Choice label="Its papers are in" options={UNITS} bind:value={draft.units} />
