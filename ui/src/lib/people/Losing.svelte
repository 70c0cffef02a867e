<!-- Before somebody comes in: what another, or an older passphrase, keeps on this device and has not sent goes with it. -->
<script lang="ts">
  import { vault } from '$lib/away/vault.svelte'

  let { lost }: { lost: number } = $props()
</script>

<p class="border-l-4 border-danger pl-3 leading-snug" role="alert" data-losing>
  {lost}
  {lost === 1 ? 'entry' : 'entries'} of {vault.name} made on this device did not reach Libella yet, and would be lost for
  good.
  {vault.name} signs in by the passphrase this device was closed by to have {lost === 1 ? 'it' : 'them'} sent.
</p>
