<!-- Says that something is on its way, once it has been for 300 ms: a flicker tells nobody anything. -->
<script lang="ts">
  import { net } from '$lib/away/net.svelte'

  /** `page`: nothing else of the page stands yet, so it has its heading. */
  let { what, page = false }: { what: string; page?: boolean } = $props()
  let late = $state(false)
  $effect(() => {
    const timer = setTimeout(() => (late = true), 300)
    return () => clearTimeout(timer)
  })
</script>

{#if page}<h1 class="sr-only">{what}</h1>{/if}
<p class="p-6 text-lg text-faded {late ? '' : 'invisible'}" role="status">
  {net.gone ? `${what} comes with the network.` : `${what} is coming…`}
</p>
