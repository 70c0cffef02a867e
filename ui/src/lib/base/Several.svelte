<!-- Several of a few options at once, all in view: the same again takes it back. -->
<script lang="ts" generics="T extends string">
  import type { Scene } from '$lib/drawing/page'
  import Sketch from '$lib/drawing/Sketch.svelte'

  interface Props {
    label: string
    /** With a drawing each is known by its shape before its name is read. */
    options: { value: T; words: string; picture?: Scene | undefined }[]
    values: readonly T[]
    change: (values: T[]) => void
    /** The label stands over them; else it is only read aloud. */
    shown?: boolean
  }
  let { label, options, values, change, shown = false }: Props = $props()
  const tap = (it: T) => change(values.includes(it) ? values.filter((one) => one !== it) : [...values, it])
</script>

<div>
  {#if shown}<span class="label mb-1 block">{label}</span>{/if}
  <div class="flex flex-wrap items-center gap-1.5" role="group" aria-label={label}>
    {#each options as it (it.value)}
      <button
        type="button"
        class="button px-3 {it.picture ? 'w-28 flex-col gap-1 px-1 py-1.5 leading-tight' : ''} {values.includes(
          it.value
        )
          ? 'border-ink bg-ink text-paper!'
          : ''}"
        aria-pressed={values.includes(it.value)}
        onclick={() => tap(it.value)}
        >{#if it.picture}<Sketch scene={it.picture} width={80} height={30} />{/if}{it.words}</button
      >
    {/each}
  </div>
</div>
