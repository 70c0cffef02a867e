<!-- What a paired level reads now, to be taken as readings; nothing where none tells this lesson. -->
<script lang="ts">
  import { page } from '$app/state'
  import { heard } from '$lib/data/heard.svelte'
  import { sensorsQuery } from '$lib/data/queries.svelte'
  import { tiltWords } from '$lib/start/tilt'

  interface Props {
    /** The floor's fall to the hole and to the right, percent. */
    take: (along: number, across: number) => void
  }
  let { take }: Props = $props()

  const sensors = sensorsQuery(() => page.params.id ?? '')
  const level = $derived(sensors.data?.sensors.find((it) => it.kind === 'level' && it.state === 'paired'))
  const tilt = $derived(level && heard.moments[level.id])
</script>

{#if level}
  <div class="mb-3 flex flex-wrap items-center justify-between gap-3 border border-hairline p-3" data-level>
    <p>
      <span class="label">{level.name}</span><br /><span class="wide text-lg"
        >{tilt ? tiltWords(tilt) : 'It tells nothing now.'}</span
      >
    </p>
    <button
      class="button"
      type="button"
      disabled={!tilt}
      onclick={() => tilt && take(tilt.along_percent ?? 0, tilt.across_percent ?? 0)}>Take this reading</button
    >
  </div>
{/if}
