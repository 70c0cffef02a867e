<!-- The way into anything that is said: why it says so, in one tap. -->
<script lang="ts">
  import ExplainedSheet from './ExplainedSheet.svelte'
  import type { Opened } from './queries.svelte'

  interface Props {
    of: Opened
    /** What is opened, by its key. */
    key: string
    /** Said aloud with the button. */
    name: string
  }
  let { of, key, name }: Props = $props()
  let open = $state(false)
</script>

<button
  type="button"
  class="button plain min-h-11 shrink-0 px-2"
  data-why={key}
  aria-label="Why: {name}"
  onclick={() => (open = true)}>Why…</button
>
{#if open}<ExplainedSheet bind:open {of} {key} {name} />{/if}
