<!-- When to break off: what is due now, to be done or put off; else how long until it is. -->
<script lang="ts">
  import { pausesQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { breakOff } from './writes'

  let { lessonId, putts }: { lessonId: string; putts: number } = $props()

  const pauses = pausesQuery(
    () => lessonId,
    () => putts
  )
  const it = $derived(pauses.data)
  let now = $state(Date.now())
  $effect(() => {
    const timer = setInterval(() => (now = Date.now()), 1000)
    return () => clearInterval(timer)
  })
  // What was put off stays away until the next putt.
  let later = $state<string | null>(null)
  const nudge = $derived(it?.nudges.find((due) => `${due.what} ${putts}` !== later))

  const done = createWrite((what: 'moved' | 'rested') => breakOff(lessonId, what))
  function until(iso: string | null | undefined): string {
    if (!iso) return ''
    const left = Math.max(0, Math.round((Date.parse(iso) - now) / 1000))
    return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`
  }
</script>

{#if done.error}<Trouble error={done.error} />{/if}
{#if nudge}
  <div
    class="flex flex-wrap items-center gap-2 border-2 border-ink bg-sheet px-3 py-1"
    role="status"
    data-nudge={nudge.what}
  >
    <p class="min-w-0 flex-1 font-semibold">{nudge.words}</p>
    {#if nudge.what === 'rest'}<button class="button" onclick={() => done.mutate('rested')}>Rested</button>
    {:else}<button class="button" onclick={() => done.mutate('moved')}>Moved</button>{/if}
    <button class="button plain" onclick={() => (later = `${nudge.what} ${putts}`)}>Later</button>
  </div>
{:else if it && (it.rest_due_at || it.feet_due_at)}
  <p class="text-center text-sm text-faded" data-timer>
    {[
      it.rest_due_at ? `Straighten up in ${until(it.rest_due_at)}` : '',
      it.feet_due_at ? `move the feet in ${until(it.feet_due_at)}` : '',
      `${it.spot} of ${it.pauses.spot_putts} from this spot`
    ]
      .filter(Boolean)
      .join(' · ')}
  </p>
{/if}
