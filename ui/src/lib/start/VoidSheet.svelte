<!-- Why a putt doesn't count: one tap. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Sheet from '$lib/base/Sheet.svelte'

  interface Props {
    open: boolean
    putt: Shapes['ReadingLine'] | null
    giveReason: (reason: string) => void
  }
  let { open = $bindable(), putt, giveReason }: Props = $props()
  const REASONS = ['talked through', 'debris on the line', 'restarted', 'misread']
  let other = $state('')

  function say(reason: string): void {
    open = false
    other = ''
    giveReason(reason)
  }
</script>

<Sheet bind:open title="Why doesn't this putt count?">
  <p class="mb-3">{putt?.words}. It stays in the record, struck through, and can be restored.</p>
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
