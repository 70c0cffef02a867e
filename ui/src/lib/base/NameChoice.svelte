<!-- One of the names used so far, or another, typed once. -->
<script lang="ts">
  import { pictured } from '$lib/data/vocabulary.svelte'
  import Choice from './Choice.svelte'

  interface Props {
    label: string
    names: string[]
    value: string
    /** What the button says that asks for another; empty: nothing else is taken. */
    another: string
    /** Names that have a drawing are found among the pictures of that kind. */
    kind?: string
    /** Whether as usual, which has no name, is among them. */
    usual?: boolean
    small?: boolean
  }
  let { label, names, value = $bindable(), another, kind = '', usual = true, small = false }: Props = $props()

  const OTHER = '\n'
  /** As usual has no name; a choice needs one. */
  const UNNAMED = '\t'
  const AS_USUAL = 'as usual'
  let typing = $state(false)
  let typed = $state('')
  const offered = $derived([...new Set([...(usual ? [''] : []), ...names, value])].filter((it) => usual || it))
  function take(): void {
    if (typed.trim()) value = typed.trim().toLowerCase() === AS_USUAL ? '' : typed.trim()
    typed = ''
    typing = false
  }
</script>

<div>
  <Choice
    {label}
    {small}
    options={[
      ...offered.map((it) => ({ value: it || UNNAMED, words: it || AS_USUAL, picture: pictured(kind, it) })),
      ...(another ? [{ value: OTHER, words: another }] : [])
    ]}
    bind:value={
      () => (typing ? OTHER : value || UNNAMED),
      (it) => {
        typing = it === OTHER
        if (!typing) value = it === UNNAMED ? '' : it
      }
    }
  />
  {#if typing}
    <!-- It often stands within a form: Enter takes the name, and nothing else. -->
    <div class="mt-1.5 flex max-w-md gap-2">
      <!-- svelte-ignore a11y_autofocus (it was just asked for) -->
      <input
        class="entry"
        aria-label={another.replace('…', '')}
        bind:value={typed}
        maxlength="80"
        autofocus
        onblur={take}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return
          event.preventDefault()
          take()
        }}
      />
      <button class="button shrink-0" type="button" onclick={take}>Take it</button>
    </div>
  {/if}
</div>
