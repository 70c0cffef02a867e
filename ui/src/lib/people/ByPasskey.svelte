<!-- A passkey in place of the passphrase: the device asks for face, finger or code; nothing where there can be none. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import { passkeysHere } from './passkeys'

  interface Props {
    words: string
    run: () => Promise<void>
  }
  let { words, run }: Props = $props()
  const asking = createAsk(() => run())
</script>

{#if passkeysHere()}
  {#if asking.error}<Trouble error={asking.error} />{/if}
  <button
    class="button min-h-14 text-lg"
    type="button"
    disabled={asking.isPending}
    onclick={() => asking.mutate(undefined)}>{asking.isPending ? 'Asking this device…' : words}</button
  >
{/if}
