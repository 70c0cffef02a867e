<!-- What each wall or golfer's screen shows of this lesson. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import { screensQuery, send, VIEWS, type View } from './screens'
  import { sessionQuery } from './session'

  let { lesson }: { lesson: string } = $props()
  const session = sessionQuery()
  const screens = screensQuery(() => Boolean(session.data?.must))
  const there = $derived((screens.data ?? []).filter((it) => it.taken))
  const sending = createAsk(({ id, view }: { id: string; view: View | '' }) =>
    send(id, view ? lesson : null, view || 'putts')
  )
</script>

{#if there.length}
  <div class="mt-3 grid gap-3" data-send-to-screen>
    {#each there as it (it.id)}
      <Choice
        label="{it.name} shows{it.lesson_id && it.lesson_id !== lesson ? ' (another lesson now)' : ''}"
        options={[...VIEWS]}
        value={it.lesson_id === lesson ? it.view : ''}
        onchange={(view) => sending.mutate({ id: it.id, view })}
      />
    {/each}
    {#if sending.error}<Trouble error={sending.error} />{/if}
  </div>
{/if}
