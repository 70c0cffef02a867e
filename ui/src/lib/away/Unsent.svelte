<!-- Without a network: how old what is said here is, and that what was made since is not in it. -->
<script lang="ts">
  import { moment } from '$lib/base/dates'
  import { outbox } from '$lib/data/outbox.svelte'
  import { net } from './net.svelte'

  /** `unknown`: the server has never heard of this lesson: nothing it would say is there. */
  let { unknown = false }: { unknown?: boolean } = $props()
  const made = $derived(outbox.waiting.length)
  const entries = $derived(made === 1 ? '1 entry waits' : `${made} entries wait`)
</script>

<p class="border-b-2 border-ink px-4 py-2 leading-snug" role="status" data-unsent>
  <b>No network.</b>
  {#if net.asOf && !unknown}What is said here is as of {moment(net.asOf.toISOString())}.{/if}
  {#if made}{entries} on this device and {made === 1 ? 'is' : 'are'} in no verdict yet: judged once the network is there.
    <a class="underline" href="/away">What waits…</a>{/if}
</p>
