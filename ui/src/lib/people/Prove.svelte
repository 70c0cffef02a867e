<!-- The passphrase or a passkey once more, before something that matters most. -->
<script lang="ts">
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import ByPasskey from './ByPasskey.svelte'
  import { proveBy } from './passkeys'
  import { proof } from './proof.svelte'

  let passphrase = $state('')
  const giving = createAsk(
    () => proof.give(passphrase),
    () => (passphrase = '')
  )
</script>

<Sheet
  bind:open={() => proof.asked, (open) => (open ? undefined : proof.end(false))}
  title="Your passphrase or passkey, once more"
>
  <form
    class="grid gap-3"
    data-prove
    onsubmit={(event) => {
      event.preventDefault()
      giving.mutate(undefined)
    }}
  >
    <p class="leading-snug">
      Whom you let in, lock out or delete, and each passkey you make, is asked of you again after ten minutes: a tablet
      left lying does it for nobody.
    </p>
    <label
      ><span class="label">Passphrase</span>
      <input
        class="entry text-lg"
        type="password"
        bind:value={passphrase}
        autocomplete="current-password"
        maxlength="200"
        required
      /></label
    >
    {#if giving.error}<Trouble error={giving.error} />{/if}
    <button class="button primary min-h-14 text-lg" disabled={giving.isPending}
      >{giving.isPending ? 'Looking…' : 'It is me'}</button
    >
    <ByPasskey words="By passkey" run={proveBy} />
  </form>
</Sheet>
