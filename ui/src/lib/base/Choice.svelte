<!-- One of a few options, all in view. -->
<script lang="ts" generics="T extends string">
  import { ToggleGroup } from 'bits-ui'
  import type { Scene } from '$lib/drawing/page'
  import Sketch from '$lib/drawing/Sketch.svelte'

  interface Props {
    label: string
    /** With a drawing each is known by its shape before its name is read. */
    options: { value: T; words: string; picture?: Scene }[]
    value: T
    onchange?: (value: T) => void
  }
  let { label, options, value = $bindable(), onchange }: Props = $props()
</script>

<div>
  <span class="label mb-1 block">{label}</span>
  <ToggleGroup.Root
    type="single"
    aria-label={label}
    class="flex flex-wrap gap-1.5"
    bind:value={
      () => value,
      (chosen) => {
        if (!chosen) return
        value = chosen as T
        onchange?.(value)
      }
    }
  >
    {#each options as it (it.value)}
      <ToggleGroup.Item
        value={it.value}
        class="button data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper {it.picture ? 'w-32 flex-col gap-1 px-1 py-1.5 leading-tight' : ''}"
        >{#if it.picture}<Sketch scene={it.picture} />{/if}<span>{it.words}</span></ToggleGroup.Item
      >
    {/each}
  </ToggleGroup.Root>
</div>
