<!-- One of a few options, all in view. -->
<script lang="ts" generics="T extends string">
  import { ToggleGroup } from 'bits-ui'
  import type { Scene } from '$lib/drawing/page'
  import Sketch from '$lib/drawing/Sketch.svelte'

  interface Props {
    label: string
    /** With a drawing each is known by its shape before its name is read. */
    options: { value: T; words: string; picture?: Scene | undefined }[]
    value: T
    /** Drawings as small as they can still be known by, where room is short. */
    small?: boolean
    /** So many are shown first, with the one chosen; the rest after a tap on “More”. */
    first?: number
    onchange?: (value: T) => void
  }
  let { label, options, value = $bindable(), small = false, first = Infinity, onchange }: Props = $props()
  let every = $state(false)
  /** The group knows an empty value as nothing chosen: an option that stands for nothing has a name of its own in it. */
  const NOTHING = '—'
  const inGroup = (it: string) => it || NOTHING
  const reached = $derived(options.some((it) => it.value === value))
  const shown = $derived(every ? options : options.filter((it, n) => n < first || it.value === value))
</script>

<div>
  <span class="label mb-1 block">{label}</span>
  <ToggleGroup.Root
    type="single"
    aria-label={label}
    class="flex flex-wrap gap-1.5"
    bind:value={
      () => inGroup(value),
      (chosen) => {
        if (!chosen) return
        value = (chosen === NOTHING ? '' : chosen) as T
        onchange?.(value)
      }
    }
  >
    {#each shown as it (it.value)}
      <ToggleGroup.Item value={inGroup(it.value)}>
        {#snippet child({ props })}
          <!-- Tab stops on what is chosen; arrow keys go on from there. -->
          <button
            {...props}
            type="button"
            tabindex={reached ? (it.value === value ? 0 : -1) : (props['tabindex'] as number)}
            class="button data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper {it.picture
              ? `${small ? 'w-28' : 'w-32'} flex-col gap-1 px-1 py-1.5 leading-tight`
              : ''}"
            >{#if it.picture}<Sketch scene={it.picture} {...small ? { width: 80, height: 30 } : {}} />{/if}<span
              >{it.words}</span
            ></button
          >
        {/snippet}
      </ToggleGroup.Item>
    {/each}
    {#if shown.length < options.length}<button type="button" class="button" onclick={() => (every = true)}>More…</button
      >{/if}
  </ToggleGroup.Root>
</div>
