<!-- Which things of a set-up are asked for: the coach's own choice, kept for every golfer. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Sheet from '$lib/base/Sheet.svelte'

  interface Props {
    open: boolean
    entries: Shapes['EntryOut'][]
    wanted: string[]
    want: (names: string[]) => void
  }
  let { open = $bindable(), entries, wanted, want }: Props = $props()

  const groups = $derived([...new Set(entries.map((it) => it.group))])
  const toggle = (name: string) => want(wanted.includes(name) ? wanted.filter((it) => it !== name) : [...wanted, name])
</script>

<Sheet bind:open title="What to note">
  <p>Only this is asked for, with every golfer. What was noted before stays.</p>
  {#each groups as group (group)}
    <h3 class="label mt-3 border-b border-hairline">{group}</h3>
    <div class="mt-2 flex flex-wrap gap-1.5">
      {#each entries.filter((it) => it.group === group) as it (it.name)}
        <button
          class="button {wanted.includes(it.name) ? 'border-ink bg-ink text-paper!' : ''}"
          aria-pressed={wanted.includes(it.name)}
          onclick={() => toggle(it.name)}>{it.label}</button
        >
      {/each}
    </div>
  {/each}
  <button class="button primary mt-5 min-h-12 w-full" onclick={() => (open = false)}>Done</button>
</Sheet>
