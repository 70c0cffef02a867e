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
  import { createWrite } from '$lib/data/write.svelte'
  import { putRight } from './writes'

  interface Props {
    open: boolean
    lessonId: string
    /** A plan, a series of set-downs, or the looks taken as one was. */
    of: Shapes['WrongIn']['of']
    id: string
  }
  let { open = $bindable(), lessonId, of, id }: Props = $props()
  formOf('small')

  /** Of each part what is told anew; what is not named stays. */
  let sizes = $state<Record<string, number>[]>([])
  let why = $state('')
  const told = $derived(sizes.some((it) => Object.keys(it).length > 0))
  // A part before one that was told is named with nothing.
  const body = $derived({ of, about_id: id, sizes: Array.from($state.snapshot(sizes), (it) => it ?? {}) })
  const parts = createQuery(() => ({
    queryKey: key.writtenDown(of, id),
    queryFn: () => ask(api.GET('/api/corrections/{of}/{id}', { params: { path: { of, id } } })),
    enabled: open,
    staleTime: 0
  }))
  const would = createQuery(() => ({
    queryKey: inUnits(key.wouldChange(of, id), JSON.stringify(body)),
    queryFn: () => ask(api.POST('/api/corrections', { body })),
    enabled: open && told,
    placeholderData: keepPreviousData
  }))
  const shown = $derived(told && would.data?.sizes.length ? would.data : undefined)
  const fault = $derived(would.error && told ? refusal(would.error) : null)
  // Told again after a bad line, it is done once.
  let own = $state(v7())
  const doing = createWrite(
    () => putRight(lessonId, own, { ...body, why }),
    () => (open = false)
  )

  $effect(() => {
    if (!open) return
    sizes = []
    why = ''
    own = v7()
    doing.reset()
  })
  function tell(part: number, name: string, value: number): void {
    sizes[part] = { ...sizes[part], [name]: value }
  }
</script>

<Sheet bind:open title="A size that was entered wrong" wide>
  <p class="mb-3 text-faded">
    Say how it was in truth. Everything read with it is read anew; what stood there stays in the record.
  </p>
  {#each parts.data ?? [] as part, n (n)}
    {#if part.dimensions.length}
      <p class="label mt-2">{part.name}</p>
      <div class="mt-1 grid min-[440px]:grid-cols-2 gap-x-5 gap-y-3 md:grid-cols-3">
        {#each part.dimensions as dimension (dimension.name)}
          <SizeEntry
            {dimension}
            value={sizes[n]?.[dimension.name] ?? dimension.default}
            error={fault?.about(`sizes.${n}.${dimension.name}`)}
            onvalue={(value) => tell(n, dimension.name, value)}
          />
        {/each}
      </div>
    {/if}
  {/each}
  {#if parts.error}<Trouble error={parts.error} again={() => parts.refetch()} />{/if}
  <div class="mt-4 border-t-2 border-ink pt-3" data-would aria-live="polite">
    {#if shown}
      <p class="label">What changes</p>
      {#each shown.sizes as one (one)}<p class="font-bold">{one}</p>{/each}
      <ul class="mt-1 grid gap-1">
        {#each shown.read as one (one)}<li class="leading-snug">{one}</li>{/each}
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
