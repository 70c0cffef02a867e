<!-- A size that was entered wrong, put right after something was read with it: what changes is shown first. -->
<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { formOf } from '$lib/base/form'
  import SizeEntry from '$lib/base/SizeEntry.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { api, ask, refusal, type Shapes } from '$lib/data/client'
  import { inUnits, key } from '$lib/data/key'
  import { instrumentsQuery } from '$lib/data/queries.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { putRight } from './writes'

  interface Props {
    open: boolean
    station: Shapes['StationOut']
  }
  let { open = $bindable(), station }: Props = $props()
  formOf('small')

  const instruments = instrumentsQuery()
  /** What is told anew: of the rig, and of each aid; what is not named stays. */
  let rig = $state<Record<string, number>>({})
  let aids = $state<Record<string, number>[]>([])
  let why = $state('')
  const told = $derived(Object.keys(rig).length > 0 || aids.some((it) => Object.keys(it).length > 0))
  const body = $derived({
    station_id: station.id,
    rig_sizes_m: $state.snapshot(rig),
    aid_sizes: $state.snapshot(aids)
  })
  const laid = $derived(
    [{ kind: station.rig_kind, sizes: station.rig_sizes_m }, ...station.aids].map((it, n) => ({
      n,
      sizes: it.sizes,
      instrument: instruments.data?.find((one) => one.about.kind === it.kind)
    }))
  )
  const would = createQuery(() => ({
    queryKey: inUnits(key.wouldChange(station.id), JSON.stringify(body)),
    queryFn: () => ask(api.POST('/api/corrections', { body })),
    enabled: open && told,
    placeholderData: keepPreviousData
  }))
  const shown = $derived(told && would.data?.sizes.length ? would.data : undefined)
  const fault = $derived(would.error && told ? refusal(would.error) : null)
  // Told again after a bad line, it is done once.
  let id = $state(v7())
  const doing = createWrite(
    () => putRight(station.lesson_id, id, { ...body, why }),
    () => (open = false)
  )

  $effect(() => {
    if (!open) return
    rig = {}
    aids = station.aids.map(() => ({}))
    why = ''
    id = v7()
    doing.reset()
  })
  function tell(n: number, name: string, value: number): void {
    if (n === 0) rig = { ...rig, [name]: value }
    else aids = aids.map((it, at) => (at === n - 1 ? { ...it, [name]: value } : it))
  }
</script>

<Sheet bind:open title="A size that was entered wrong" wide>
  <p class="mb-3 text-faded">
    Say how it lay in truth. Every reading taken with it is read anew; what stood there stays in the record.
  </p>
  {#each laid as it (it.n)}
    {#if it.instrument?.dimensions.length}
      <p class="label mt-2">{it.instrument.about.name}</p>
      <div class="mt-1 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
        {#each it.instrument.dimensions as dimension (dimension.name)}
          <SizeEntry
            {dimension}
            value={(it.n ? aids[it.n - 1] : rig)?.[dimension.name] ?? it.sizes[dimension.name] ?? dimension.default}
            error={fault?.about(it.n ? `aids.${it.n - 1}.${dimension.name}` : `rig_sizes_m.${dimension.name}`)}
            onvalue={(value) => tell(it.n, dimension.name, value)}
          />
        {/each}
      </div>
    {/if}
  {/each}
  <div class="mt-4 border-t-2 border-ink pt-3" data-would aria-live="polite">
    {#if shown}
      <p class="label">What changes</p>
      {#each shown.sizes as one (one)}<p class="font-bold">{one}</p>{/each}
      <ul class="mt-1 grid gap-1">
        {#each shown.blocks as one (one)}<li class="leading-snug">{one}</li>{/each}
      </ul>
    {:else if would.error && told}<Trouble error={would.error} />
    {:else}<p class="text-faded">Change a size: what was read with it is shown before anything is kept.</p>{/if}
  </div>
  <label class="mt-3 block"
    ><span class="label">What was wrong, in a few words</span>
    <input class="entry" bind:value={why} maxlength="80" placeholder="read off the wrong edge" /></label
  >
  {#if doing.error}<div class="mt-2"><Trouble error={doing.error} /></div>{/if}
  <button
    class="button primary mt-3 min-h-14 w-full text-lg"
    type="button"
    disabled={!shown || doing.isPending}
    onclick={() => doing.mutate(undefined)}>Put it right</button
  >
</Sheet>
