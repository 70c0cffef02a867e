<!-- When to break off: the coach's opinion, for every lesson from now on. -->
<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { Latest } from '$lib/data/latest.svelte'
  import { renew } from '$lib/data/queries.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'

  let { pauses }: { pauses: Shapes['Pauses'] } = $props()
  const client = useQueryClient()
  const kept = new Latest<Shapes['Pauses']>(async (body) => {
    await ask(api.PUT('/api/pauses', { body }))
    await renew(client, ['pauses'])
  })
  const now = $derived(kept.value ?? pauses)
  const ENTRIES = [
    { name: 'spot_putts', label: 'Putts from one spot', unit: '' },
    { name: 'feet_min', label: 'Minutes in one place', unit: 'min' },
    { name: 'rest_min', label: 'Minutes bent over', unit: 'min' },
  ] as const
</script>

<div class="grid gap-3 sm:grid-cols-3">
  {#each ENTRIES as it (it.name)}
    <Stepper
      label={it.label} unit={it.unit} text={String(now[it.name])} read={(text) => Math.round(Number(text))}
      step={(by) => void kept.set({ ...now, [it.name]: now[it.name] + by })}
      onvalue={(value) => void kept.set({ ...now, [it.name]: value })}
      error={kept.error ? refusal(kept.error).about(it.name) : undefined}
    />
  {/each}
</div>
{#if kept.error && !ENTRIES.some((it) => refusal(kept.error).about(it.name))}<Trouble error={kept.error} />{/if}
<p class="mt-1 text-sm text-faded">An opinion: change it to yours. It only reminds; it never stops a run.</p>
