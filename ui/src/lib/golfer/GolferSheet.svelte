<!-- Add a golfer, or change what is noted of one. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { levelsQuery, renew } from '$lib/data/queries.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import UsualLengths from './UsualLengths.svelte'

  interface Props {
    open: boolean
    golfer?: Shapes['GolferOut']
    kept?: (golfer: Shapes['GolferOut']) => void
  }
  let { open = $bindable(), golfer, kept }: Props = $props()

  const client = useQueryClient()
  const levels = levelsQuery()
  const HANDS = [
    { value: 'right' as const, words: 'Right-handed' },
    { value: 'left' as const, words: 'Left-handed' },
  ]
  const NOBODY = (): Required<Shapes['GolferIn']> => ({ name: '', hand: 'right', level: 'club', notes: '', usual_lengths: null, step_m: null })
  let draft = $state<Required<Shapes['GolferIn']>>(NOBODY())
  let error = $state<unknown>(null)

  $effect(() => {
    if (!open) return
    error = null
    draft = golfer
      ? { name: golfer.name, hand: golfer.hand, level: golfer.level, notes: golfer.notes, usual_lengths: golfer.usual_noted ? golfer.usual_lengths : null, step_m: golfer.step_m }
      : NOBODY()
  })

  async function keep(event: SubmitEvent): Promise<void> {
    event.preventDefault()
    try {
      const id = golfer?.id ?? v7()
      const row = await ask(api.PUT('/api/golfers/{id}', { params: { path: { id } }, body: { ...draft } }))
      open = false
      kept?.(row)
      await renew(client, [])
    } catch (problem) {
      error = problem
    }
  }
</script>

<Sheet bind:open title={golfer ? 'What is noted' : 'New golfer'}>
  <form onsubmit={keep} class="grid gap-4">
    <label class="block">
      <span class="label">Name</span>
      <input class="entry" bind:value={draft.name} maxlength="80" required autocomplete="off" />
    </label>
    <Choice label="Hand" options={HANDS} bind:value={draft.hand} />
    <Choice
      label="Level (sizes a rig before anything is measured)"
      options={(levels.data ?? []).map((it) => ({ value: it.level, words: it.name }))}
      bind:value={draft.level}
    />
    <label class="block">
      <span class="label">Notes</span>
      <textarea class="entry" rows="3" maxlength="4000" bind:value={draft.notes}></textarea>
    </label>
    {#if golfer}
      <div>
        {#if draft.step_m === null}
          <button class="button" type="button" onclick={() => (draft.step_m = 0.75)}>Note the golfer’s step…</button>
        {:else}
          <LengthEntry of="step_m" value={draft.step_m} error={error ? refusal(error).about('step_m') : undefined} onvalue={(m) => (draft.step_m = m)} />
          <button class="button plain" type="button" onclick={() => (draft.step_m = null)}>Take the step out</button>
        {/if}
      </div>
      <UsualLengths usual={golfer.usual_lengths} bind:lengths={draft.usual_lengths} step={draft.step_m} {error} />
    {/if}
    {#if error}<Trouble {error} />{/if}
    <button class="button primary min-h-14 text-lg">{golfer ? 'Keep changes' : 'Add golfer'}</button>
  </form>
</Sheet>
