<!-- A picture with a few zones: one tap or one key records. -->
<script lang="ts">
  import { keys, onSheet } from '$lib/base/keys.svelte'
  import type { EntryProps } from '.'
  import { NAMED_PX } from '$lib/drawing/zones'
  import Touch from './Touch.svelte'

  let { entry, closed, record }: EntryProps = $props()
  const sheet = onSheet()

  $effect(() =>
    keys.add(
      'This rig',
      () =>
        entry.zones
          .filter((it) => it.key)
          .map((zone) => ({
            key: zone.key as string,
            words: `Record: ${zone.name}`,
            run: () => !closed && record(zone)
          })),
      sheet
    )
  )
</script>

<Touch {entry} {closed} {record} least={60}>
  {#snippet over(zones)}
    {#each zones as { zone, left, right } (zone.name)}
      <button
        type="button"
        class="absolute inset-y-0 flex flex-col border-x border-dashed border-hairline px-0.5 pt-1 text-center text-sm leading-tight font-semibold"
        style:left="{left}px"
        style:width="{right - left}px"
        disabled={closed}
        aria-keyshortcuts={zone.key}
        data-zone={zone.name}
        onclick={(event) => event.detail === 0 && record(zone)}
      >
        <span class={right - left < NAMED_PX ? 'sr-only' : 'mx-auto'}
          ><span class="bg-paper/85">{zone.name}</span>
          <kbd class="key hidden bg-paper sm:inline">{zone.key}</kbd></span
        >
        <span class="mx-auto mt-auto hidden bg-paper/85 text-xs font-normal sm:block">{zone.meaning}</span>
      </button>
    {/each}
  {/snippet}
</Touch>
