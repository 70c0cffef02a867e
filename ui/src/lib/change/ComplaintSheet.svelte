<!-- What brings the golfer here, told or told again. -->
<script lang="ts">
  import { untrack } from 'svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import ComplaintEntries from './ComplaintEntries.svelte'
  import { NOTHING_SAID, type Complaint } from './complaint'
  import { tellComplaint } from './writes'

  interface Props {
    open: boolean
    lessonId: string
    complaint: Complaint | null
  }
  let { open = $bindable(), lessonId, complaint }: Props = $props()

  let draft = $state(NOTHING_SAID())
  const telling = createWrite(
    () => tellComplaint(lessonId, $state.snapshot(draft)),
    () => (open = false)
  )
  $effect(() => {
    if (!open) return
    untrack(() => {
      telling.reset()
      draft = complaint ? { ...complaint } : NOTHING_SAID()
    })
  })
</script>

<Sheet bind:open title="What brings them here">
  <ComplaintEntries bind:complaint={draft} whole />
  {#if telling.error}<Trouble error={telling.error} />{/if}
  <button
    class="button primary mt-4 min-h-14 w-full text-lg"
    disabled={telling.isPending}
    onclick={() => telling.mutate(undefined)}>Keep it</button
  >
</Sheet>
