<!--
  A ruler with many marks: press on it, slide to the mark, lift. Or step to the mark with the arrows and record it.
-->
<script lang="ts">
  import { keys, onSheet } from '$lib/base/keys.svelte'
  import type { EntryProps } from '.'
  import Touch from './Touch.svelte'

  let { entry, closed, record }: EntryProps = $props()
  const sheet = onSheet()

  const middle = $derived(Math.floor(entry.zones.length / 2))
  let place = $state<number | null>(null)
  const at = $derived(Math.min(place ?? middle, entry.zones.length - 1))
  const picked = $derived(entry.zones[at])

  function step(by: number): void {
    place = Math.max(0, Math.min(entry.zones.length - 1, at + by))
  }
  function take(): void {
    if (closed || !picked) return
    record(picked)
    place = null
  }

  $effect(() =>
    keys.add(
      'This rig',
      () => [
        { key: 'ArrowLeft', words: 'One mark to the left', run: () => step(-1) },
        { key: 'ArrowRight', words: 'One mark to the right', run: () => step(1) },
        { key: 'Enter', words: 'Record the mark shown', run: take },
        ...entry.zones
          .filter((it) => it.key)
          .map((zone) => ({
            key: zone.key as string,
            words: `Record: ${zone.name}`,
            run: () => !closed && record(zone)
          }))
      ],
      sheet
    )
  )

  const STEPS: Record<string, number> = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowUp: 1,
    PageDown: -5,
    PageUp: 5
  }
  function slide(event: KeyboardEvent): void {
    const by = STEPS[event.key]
    if (by) step(by)
    else if (event.key === 'Home') place = 0
    else if (event.key === 'End') place = entry.zones.length - 1
    else if (event.key === 'Enter' || event.key === ' ') take()
    else return
    event.preventDefault()
  }
</script>

<div class="flex h-full min-h-0 flex-col gap-2">
  <div class="min-h-0 flex-1">
    <Touch {entry} {closed} {record} least={0} picked={place === null ? null : picked}>
      {#snippet over(zones)}
        <div
          class="absolute inset-0"
          role="slider"
          tabindex="0"
          aria-label={entry.slides}
          aria-valuemin={-middle}
          aria-valuemax={middle}
          aria-valuenow={at - middle}
          aria-valuetext={picked?.name}
          aria-disabled={closed}
          onkeydown={slide}
        ></div>
        {#each [zones[0], zones.at(-1)] as end, n (n)}
          {#if end}
            <span
              class="pointer-events-none absolute top-0 bg-paper/85 px-1 text-sm font-semibold"
              style:left={n ? undefined : '0'}
              style:right={n ? '0' : undefined}
              >{end.zone.name} <kbd class="key hidden sm:inline">{end.zone.key}</kbd></span
            >
          {/if}
        {/each}
      {/snippet}
    </Touch>
  </div>
  <div class="flex shrink-0 gap-2">
    <button
      class="button min-h-14 min-w-16"
      aria-label="One mark to the left"
      disabled={closed}
      onclick={() => step(-1)}>◂</button
    >
    <button class="button min-h-14 flex-1 text-lg" disabled={closed} onclick={take}>Record {picked?.name}</button>
    <button
      class="button min-h-14 min-w-16"
      aria-label="One mark to the right"
      disabled={closed}
      onclick={() => step(1)}>▸</button
    >
  </div>
</div>
