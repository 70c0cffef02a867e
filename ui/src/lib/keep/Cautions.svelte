<!-- What to mind here; nothing where nothing calls for it. -->
<script lang="ts">
  import { cautionsQuery } from './queries.svelte'

  interface Props {
    at: ReturnType<Parameters<typeof cautionsQuery>[0]>
    lesson?: string
    golfer?: string
    /** Said beside it already. */
    besides?: readonly string[]
  }
  let { at, lesson, golfer, besides = [] }: Props = $props()
  const found = cautionsQuery(
    () => at,
    () => ({ ...(lesson ? { lesson } : {}), ...(golfer ? { golfer } : {}) })
  )
  const told = $derived((found.data?.cautions ?? []).filter((it) => !besides.includes(it)))
</script>

{#if told.length}
  <ul class="grid gap-1 text-[15px]" aria-label="What to mind" data-cautions={at}>
    {#each told as it (it)}<li class="leading-snug"><strong>Caution.</strong> {it}</li>{/each}
  </ul>
{/if}
