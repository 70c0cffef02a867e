<!-- What the ball shows and how the putt is gone about, of a whole block: chosen from their drawings, as usual where nothing is said. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import NameChoice from '$lib/base/NameChoice.svelte'
  import { choices, drawnChoices, pictured } from '$lib/data/vocabulary.svelte'
  import type { Under } from './under'

  interface Props {
    factors: Under['factors']
    change: (factors: Under['factors']) => void
  }
  let { factors, change }: Props = $props()

  const AS_USUAL = 'usual'
  const CUES = $derived([
    { value: AS_USUAL, words: 'as usual', picture: pictured('set_up', '') },
    ...drawnChoices<string>('cue')
  ])
  const ROUTINES = choices<string>('routine').map((it) => it.value)
  function say(factor: string, level: string): void {
    const { [factor]: _, ...others } = factors
    change(level ? { ...others, [factor]: level } : others)
  }
</script>

<div class="grid gap-3" data-cue-and-routine>
  <Choice
    label="Cue on the ball"
    options={CUES}
    small
    first={4}
    bind:value={() => factors['cue'] ?? AS_USUAL, (it) => say('cue', it === AS_USUAL ? '' : it)}
  />
  <NameChoice
    label="Routine"
    names={ROUTINES}
    another="Another routine…"
    bind:value={() => factors['routine'] ?? '', (it) => say('routine', it)}
  />
</div>
