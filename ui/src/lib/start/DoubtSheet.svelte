<!-- What is wrong with one putt: it counts less, or not at all. One tap. -->
<script lang="ts">
  import { createWrite } from '$lib/data/write.svelte'
  import Flags from '$lib/base/Flags.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Putt } from './putts.svelte'
  import { flagPutt } from './writes'

  interface Props {
    open: boolean
    lessonId: string
    putt: Putt | null
    giveReason: (reason: string) => void
  }
  let { open = $bindable(), lessonId, putt, giveReason }: Props = $props()
  const REASONS = ['debris on the line', 'restarted', 'misread', 'wrong ball']
  let other = $state('')
  const flagging = createWrite(
    (flags: string[]) => flagPutt(lessonId, putt!, flags),
    () => (open = false)
  )

  function say(reason: string): void {
    open = false
    other = ''
    giveReason(reason)
  }
</script>

<Sheet bind:open title="What is wrong with this putt?">
  <p class="mb-3">{putt?.words}.</p>
  <h3 class="mb-1 font-semibold">It counts less</h3>
  <Flags label="It counts less" flags={putt?.flags ?? []} change={(flags) => flagging.mutate(flags)} />
  {#if flagging.error}<div class="mt-2"><Trouble error={flagging.error} /></div>{/if}
  <h3 class="mt-4 font-semibold">It does not count at all</h3>
  <p class="mb-2 text-faded">It stays in the record, struck through, and can be restored.</p>
  <div class="grid grid-cols-2 gap-2">
    {#each REASONS as it (it)}<button class="button min-h-14" onclick={() => say(it)}>{it}</button>{/each}
  </div>
  <form
    class="mt-3 flex gap-2"
    onsubmit={(event) => {
      event.preventDefault()
      say(other)
    }}
  >
    <input
      class="entry"
      aria-label="Another reason"
      placeholder="another reason"
      bind:value={other}
      required
      maxlength="80"
    />
    <button class="button">Void</button>
  </form>
</Sheet>
