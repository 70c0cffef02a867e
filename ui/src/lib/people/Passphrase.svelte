<!-- A passphrase to be chosen: long rather than strange, and shown where nobody looks over the shoulder. -->
<script lang="ts">
  interface Props {
    value: string
    label?: string
  }
  let { value = $bindable(), label = 'A passphrase' }: Props = $props()
  let shown = $state(false)
  const FEWEST = 12
  /** Said while it is typed, as far as length tells; what is soon guessed Libella says when it is sent. */
  const told = $derived(
    !value.length
      ? '12 characters or more: four words that have nothing to do with each other are easy to keep.'
      : value.length < FEWEST
        ? `${value.length} of ${FEWEST} characters.`
        : 'Long enough. Whether it is soon guessed is looked at when it is sent.'
  )
</script>

<div>
  <label
    ><span class="label">{label}</span>
    <input
      class="entry text-lg"
      type={shown ? 'text' : 'password'}
      bind:value
      autocomplete="new-password"
      minlength={FEWEST}
      maxlength="128"
      required
    /></label
  >
  <p class="mt-1 flex flex-wrap items-center gap-x-3 text-faded">
    <span data-length>{told}</span>
    <span
      class="inline-block h-3 w-28 border border-ink"
      role="meter"
      aria-label="How long it is"
      aria-valuemin="0"
      aria-valuemax={FEWEST}
      aria-valuenow={Math.min(value.length, FEWEST)}
      ><span class="block h-full bg-ink" style:width="{Math.min(value.length / FEWEST, 1) * 100}%"></span></span
    >
    <button class="button plain min-h-11 px-2" type="button" aria-pressed={shown} onclick={() => (shown = !shown)}
      >{shown ? 'Hide it' : 'Show it'}</button
    >
  </p>
</div>
