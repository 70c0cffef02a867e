<!-- A passphrase to be chosen: long rather than strange, and shown where nobody looks over the shoulder. -->
<script lang="ts">
  interface Props {
    value: string
    label?: string
  }
  let { value = $bindable(), label = 'A passphrase' }: Props = $props()
  let shown = $state(false)
</script>

<div>
  <label
    ><span class="label">{label}</span>
    <input
      class="entry text-lg"
      type={shown ? 'text' : 'password'}
      bind:value
      autocomplete="new-password"
      minlength="12"
      maxlength="128"
      required
    /></label
  >
  <p class="mt-1 flex flex-wrap items-center gap-x-3 text-faded">
    <span>12 characters or more: four words that have nothing to do with each other are easy to keep.</span>
    <button class="button plain min-h-11 px-2" type="button" aria-pressed={shown} onclick={() => (shown = !shown)}
      >{shown ? 'Hide it' : 'Show it'}</button
    >
  </p>
</div>
