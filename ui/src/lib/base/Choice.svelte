<!-- One of a few options, all in view. -->
<script lang="ts" generics="T extends string">
  import { ToggleGroup } from 'bits-ui'

  interface Props {
    label: string
    options: { value: T; words: string }[]
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
        class="button data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper">{it.words}</ToggleGroup.Item
      >
    {/each}
  </ToggleGroup.Root>
</div>
