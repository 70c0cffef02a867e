<!-- When to break off: the coach's opinion, for every lesson from now on. -->
<script lang="ts">
  import { about, type Shapes } from '$lib/data/client'
  import { createWrite, saying } from '$lib/data/write.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { PAUSES, setPauses } from './writes'

  let { pauses }: { pauses: Shapes['Pauses'] } = $props()
  const kept = createWrite(setPauses)
  const now = $derived(saying<Shapes['Pauses']>(PAUSES) ?? pauses)
  const ENTRIES = [
    { name: 'spot_putts', label: 'Putts from one spot', unit: '' },
    { name: 'feet_min', label: 'Minutes in one place', unit: 'min' },
    { name: 'rest_min', label: 'Minutes bent over', unit: 'min' }
  ] as const
</script>

<div class="grid gap-3 sm:grid-cols-3">
  {#each ENTRIES as it (it.name)}
    <Stepper
      label={it.label}
      unit={it.unit}
      text={String(now[it.name])}
      read={(text) => Math.round(Number(text))}
      step={(by) => kept.mutate({ ...now, [it.name]: now[it.name] + by })}
      onvalue={(value) => kept.mutate({ ...now, [it.name]: value })}
      error={about(kept.error, it.name)}
    />
  {/each}
</div>
{#if kept.error && !ENTRIES.some((it) => about(kept.error, it.name))}<Trouble error={kept.error} />{/if}
<p class="mt-1 text-sm text-faded">An opinion: change it to yours. It only reminds; it never stops a run.</p>
