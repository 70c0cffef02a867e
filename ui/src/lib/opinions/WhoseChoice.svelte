<!-- Of whom opinions are held: of everybody, of a level, of one golfer. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import { levelsQuery } from '$lib/data/queries.svelte'
  import { golferQuery, seenLastQuery } from '$lib/golfer/queries.svelte'
  import type { Whose } from './queries.svelte'

  let { whose, choose }: { whose: Whose; choose: (whose: Whose) => void } = $props()

  const GOLFER = 'golfer'
  const levels = levelsQuery()
  const golfer = golferQuery(() => whose.golfer ?? '')
  let asking = $state(false)
  let sought = $state('')
  const golfers = seenLastQuery(() => sought)
  const options = $derived([
    { value: '', words: 'Everybody' },
    ...(levels.data ?? []).map((it) => ({ value: it.level as string, words: it.name })),
    ...(whose.golfer ? [{ value: GOLFER, words: golfer.data?.name ?? 'One golfer' }] : [])
  ])
  function chosen(it: string): void {
    if (it !== GOLFER) choose(levels.data?.some((one) => one.level === it) ? ({ level: it } as Whose) : {})
  }
</script>

<div class="flex flex-wrap items-end gap-2">
  <Choice label="Held of" {options} bind:value={() => (whose.golfer ? GOLFER : (whose.level ?? '')), chosen} />
  <button type="button" class="button" onclick={() => (asking = true)}
    >{whose.golfer ? 'Another golfer…' : 'One golfer…'}</button
  >
</div>

<Sheet bind:open={asking} title="Of which golfer">
  <div class="grid gap-3">
    <input class="entry" type="search" aria-label="Find a golfer" placeholder="Find" bind:value={sought} />
    <ul class="grid gap-1.5">
      {#each golfers.data ?? [] as it (it.id)}
        <li>
          <button
            type="button"
            class="button w-full justify-start text-left"
            onclick={() => {
              asking = false
              choose({ golfer: it.id })
            }}>{it.name}</button
          >
        </li>
      {:else}
        <li class="text-lg">{golfers.data ? 'Nobody with this name.' : 'The golfers are coming…'}</li>
      {/each}
    </ul>
  </div>
</Sheet>
