<!-- Two of a golfer's lines of one link beside each other: one sentence, both vials; and pooled as one where the coach says so. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { stamp } from '$lib/data/clock'
  import type { Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Vial from '$lib/drawing/Vial.svelte'
  import { linesBesideQuery } from './queries.svelte'
  import Why from './Why.svelte'
  import { joinLines, partLines } from './writes'

  interface Props {
    golferId: string
    lines: Shapes['LineOut'][]
    joins: Shapes['LineJoinOut'][]
  }
  let { golferId, lines, joins }: Props = $props()

  /** Links read under several conditions: only those can be set beside each other. */
  const several = $derived(lines.filter((it) => lines.some((other) => other.link === it.link && other.key !== it.key)))
  let open = $state(false)
  let one = $state('')
  let other = $state('')
  const first = $derived(several.find((it) => it.key === one) ?? several[0])
  const rest = $derived(several.filter((it) => it.link === first?.link && it.key !== first.key))
  const second = $derived(rest.find((it) => it.key === other) ?? rest[0])
  const found = linesBesideQuery(
    () => golferId,
    () => first?.key,
    () => (open ? second?.key : undefined)
  )
  const joining = createWrite(joinLines)
  const parting = createWrite((id: string) => partLines(golferId, id))
</script>

{#if first && second}
  <details class="mt-3" data-lines-beside bind:open>
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">Two lines beside each other</summary>
    <div class="grid gap-x-5 gap-y-3 pt-1 sm:grid-cols-2">
      <label
        ><span class="label">Line</span>
        <select
          class="entry"
          aria-label="Line"
          value={first.key}
          onchange={(event) => {
            one = event.currentTarget.value
            other = ''
          }}
        >
          {#each several as it (it.key)}<option value={it.key}>{it.name}</option>{/each}
        </select></label
      >
      <label
        ><span class="label">Beside</span>
        <select
          class="entry"
          aria-label="Beside"
          value={second.key}
          onchange={(event) => (other = event.currentTarget.value)}
        >
          {#each rest as it (it.key)}<option value={it.key}>{it.name}</option>{/each}
        </select></label
      >
    </div>
    {#if found.error}<div class="mt-2"><Trouble error={found.error} again={() => found.refetch()} /></div>{/if}
    {#if found.data}
      <div class="mt-3 flex flex-wrap items-baseline gap-x-3">
        <p class="wide text-xl" data-lines-said>{found.data.words}</p>
        <Why
          of={{ lines: { of: golferId, first: first.key, second: second.key } }}
          key="beside"
          name={found.data.words}
        />
      </div>
      {#if found.data.more}<p class="mt-1">{found.data.more}</p>{/if}
      <div class="mt-2 grid items-center gap-x-5 gap-y-2 sm:grid-cols-2">
        {#each found.data.vials as vial, n (n)}<Vial {vial} words={found.data.names[n] ?? ''} size="row" />{/each}
      </div>
      <p class="mt-2 text-faded">
        Each condition is a line of its own: what is read in view of a guide is not what is read without. If these are
        the same to you, pool them.
      </p>
      <button
        class="button mt-2"
        disabled={joining.isPending}
        onclick={() => joining.mutate({ golfer_id: golferId, first: first.key, second: second.key, made_at: stamp() })}
        >Pool them as one line</button
      >
    {/if}
  </details>
{/if}
{#if joining.error ?? parting.error}<Trouble error={(joining.error ?? parting.error)!} />{/if}
{#each joins as it (it.id)}
  <p class="mt-1 flex items-center gap-3 text-[15px]" data-joined>
    <span>Pooled as one: {it.words}</span><button class="button plain" onclick={() => parting.mutate(it.id)}
      >Take apart</button
    >
  </p>
{/each}
