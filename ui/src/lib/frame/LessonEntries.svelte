<script lang="ts" module>
  import type { Shapes } from '$lib/api/client'

  export type LessonDraft = Required<Pick<Shapes['LessonIn'], 'place' | 'surface' | 'stimp_ft' | 'conditions'>>
</script>

<!-- What is noted of a lesson. -->
<script lang="ts">
  import type { Refusal } from '$lib/api/client'
  import Choice from './Choice.svelte'
  import Stepper from './Stepper.svelte'

  let { draft = $bindable(), error }: { draft: LessonDraft; error: Refusal | null } = $props()

  const SURFACES = (['indoor mat', 'carpet', 'green'] as const).map((value) => ({ value, words: value }))
</script>

<label class="block">
  <span class="label">Place</span>
  <input class="entry" bind:value={draft.place} maxlength="80" required aria-invalid={error?.about('place') ? 'true' : undefined} />
</label>
<Choice label="Surface" options={SURFACES} bind:value={draft.surface} />
<Stepper
  label="Green speed"
  unit="ft"
  hint="Feet on the ramp, 4 to 16."
  text={String(draft.stimp_ft)}
  read={(text) => Number(text.replace(',', '.'))}
  step={(direction) => (draft.stimp_ft = Math.min(16, Math.max(4, draft.stimp_ft + direction * 0.5)))}
  onvalue={(value) => (draft.stimp_ft = value)}
  error={error?.about('stimp_ft')}
/>
<label class="block">
  <span class="label">Conditions</span>
  <input class="entry" bind:value={draft.conditions} maxlength="400" placeholder="lights dimmed, damp, wind…" />
</label>
