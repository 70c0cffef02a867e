<!-- The mark of a school: by it something was decided; one tap tells the rival. -->
<script lang="ts">
  import type { Whose } from './queries.svelte'
  import { schoolsQuery } from './queries.svelte'
  import SchoolSheet from './SchoolSheet.svelte'

  interface Props {
    of: string
    whose: Whose
    golfer?: { id: string; name: string } | undefined
    /** Said beside the mark; nothing: the name of the school that is held. */
    words?: string
    /** Whoever shows the sheet himself: it stays when the school is dropped, and with it the mark. */
    opened?: (of: string) => void
  }
  let { of, whose, golfer, words, opened }: Props = $props()
  let open = $state(false)
  const schools = schoolsQuery(() => whose)
  const it = $derived(schools.data?.disagreements.find((one) => one.code === of))
  const name = $derived(it?.schools.find((one) => one.code === it.held)?.name)
</script>

{#if it}
  <button
    type="button"
    class="button plain min-h-11 justify-start px-1 text-left leading-snug font-normal whitespace-normal underline decoration-dotted underline-offset-4"
    data-school-mark={of}
    onclick={() => (opened ? opened(of) : (open = true))}
    ><span aria-hidden="true">◇</span> {words ?? name ?? it.asks}<span class="sr-only">: what others hold</span></button
  >
  {#if !opened}<SchoolSheet bind:open {it} {golfer} />{/if}
{/if}
