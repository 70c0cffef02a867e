<!-- What lowers the weight of one reading, and by how much: each tap is kept at once, the same again takes it back. -->
<script lang="ts">
  import { choices } from '$lib/data/vocabulary.svelte'
  import Several from './Several.svelte'

  interface Props {
    label: string
    flags: readonly string[]
    change: (flags: string[]) => void
  }
  let { label, flags, change }: Props = $props()
  const FLAGS = choices<string>('flag')
</script>

<div data-flags><Several {label} options={FLAGS} values={flags} {change} /></div>
