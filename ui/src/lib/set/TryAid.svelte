<!-- An instrument by itself: set its dimensions, tap a reading, and see what it stands for. Nothing is kept. -->
<script lang="ts">
  import { formOf } from '$lib/base/form'
  import { refusal, type Shapes } from '$lib/data/client'
  import { triedQuery } from './queries.svelte'
  import type { Zone } from '$lib/drawing/zones'
  import Sheet from '$lib/base/Sheet.svelte'
  import SizeEntry from '$lib/base/SizeEntry.svelte'
  import { ENTRIES } from '$lib/instruments'

  formOf('small')

  interface Props {
    instrument: Shapes['InstrumentOut']
    close: () => void
  }
  let { instrument, close }: Props = $props()

  let sizes = $state<Record<string, number>>({})
  let read = $state.raw<Zone | null>(null)
  const found = triedQuery(
    () => instrument.about.kind,
    () => $state.snapshot(sizes)
  )
  const entry = $derived(found.data)
  const fault = $derived(found.error ? refusal(found.error) : null)
  const Entry = $derived(ENTRIES[instrument.about.entry])
  // What was tapped, as it reads with the dimensions as they are now.
  const now = $derived(
    read && (entry?.zones.find((it) => JSON.stringify(it.raw) === JSON.stringify(read?.raw)) ?? null)
  )
</script>

<Sheet bind:open={() => true, (open) => !open && close()} title={instrument.about.name}>
  <p>{instrument.about.read}</p>
  <div class="relative my-2 h-64">
    {#if Entry && entry}<div class="absolute inset-0">
        <Entry {entry} closed={Boolean(fault)} record={(zone) => (read = zone)} />
      </div>{/if}
  </div>
  <p class="min-h-14 border-y border-hairline py-3 text-lg" aria-live="polite" data-meaning>
    {#if now}<strong>{now.name}:</strong> {instrument.quantity.name} {now.meaning}.{:else}Tap a reading: what it stands
      for shows here. Nothing is kept.{/if}
  </p>
  <div class="mt-3 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3">
    {#each instrument.dimensions as it (it.name)}
      <SizeEntry
        dimension={it}
        value={sizes[it.name] ?? it.default}
        error={fault?.about(it.name)}
        onvalue={(value) => (sizes = { ...sizes, [it.name]: value })}
      />
    {/each}
  </div>
</Sheet>
