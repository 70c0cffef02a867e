<!-- A change of the coach's own: what, how it should feel, what kind of thing it is. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import { Draft } from '$lib/base/draft.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { about, type Shapes } from '$lib/data/client'
  import { stamp } from '$lib/data/clock'
  import { createWrite } from '$lib/data/write.svelte'
  import { chooseChange } from './writes'
  import { choices } from '$lib/data/vocabulary.svelte'

  type Own = Pick<Required<Shapes['ChosenIn']>, 'what' | 'feel' | 'kind' | 'asks'>
  interface Props {
    open: boolean
    lessonId: string
    chosen: () => void
  }
  let { open = $bindable(), lessonId, chosen }: Props = $props()

  const KINDS = choices<Own['kind']>('change_kind')
  const ASKS = choices<Own['asks']>('question')
  // svelte-ignore state_referenced_locally
  const begun = new Draft<Own>(`change ${lessonId}`, () => ({ what: '', feel: '', kind: 'set_up', asks: 'line' }))
  const draft = $derived(begun.value)
  const choosing = createWrite(
    () =>
      chooseChange({
        ...$state.snapshot(draft),
        cause: '',
        proposal: '',
        way: {},
        lesson_id: lessonId,
        made_at: stamp()
      }),
    () => {
      begun.clear()
      open = false
      chosen()
    }
  )
  const error = $derived(choosing.error)
  function keep(event: SubmitEvent): void {
    event.preventDefault()
    choosing.mutate(undefined)
  }
</script>

<Sheet bind:open title="A change of your own">
  <form class="grid gap-4" onsubmit={keep}>
    <label class="block">
      <span class="label">What is changed</span>
      <input
        class="entry"
        bind:value={draft.what}
        maxlength="80"
        required
        autocomplete="off"
        aria-invalid={about(error, 'what') ? 'true' : undefined}
      />
    </label>
    <label class="block">
      <span class="label">How it should feel</span>
      <input class="entry" bind:value={draft.feel} maxlength="80" autocomplete="off" />
    </label>
    <Choice label="It changes" options={KINDS} bind:value={draft.kind} />
    <Choice label="The retest asks" options={ASKS} bind:value={draft.asks} first={3} />
    {#if error}<Trouble {error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={choosing.isPending}>Choose it</button>
  </form>
</Sheet>
