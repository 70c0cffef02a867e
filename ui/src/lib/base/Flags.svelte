<!-- What lowers the weight of one reading, and by how much: each tap is kept at once, the same again takes it back. -->
<script lang="ts">
  import { choices } from '$lib/data/vocabulary.svelte'

  interface Props {
    label: string
    flags: readonly string[]
    change: (flags: string[]) => void
  }
  let { label, flags, change }: Props = $props()
  const FLAGS = choices<string>('flag')
  const tap = (flag: string) => change(flags.includes(flag) ? flags.filter((it) => it !== flag) : [...flags, flag])
</script>

<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label={label} data-flags>
  {#each FLAGS as it (it.value)}
    <button
      type="button"
      class="button px-3 {flags.includes(it.value) ? 'border-ink bg-ink text-paper!' : ''}"
      aria-pressed={flags.includes(it.value)}
      onclick={() => tap(it.value)}>{it.words}</button
    >
  {/each}
</div>
