<!-- A one-time link for somebody: held before his camera, or told in another way. -->
<script lang="ts">
  import { onMount } from 'svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { createAsk } from '$lib/data/write.svelte'
  import { linkFor, type Account } from './people'

  interface Props {
    open: boolean
    of: Account
  }
  let { open = $bindable(), of }: Props = $props()
  const making = createAsk(() => linkFor(of.account.id))
  onMount(() => making.mutate(undefined))
  const picture = $derived(making.data ? `data:image/svg+xml,${encodeURIComponent(making.data.picture)}` : '')
</script>

<Sheet bind:open title="A link for {of.account.name}">
  {#if making.error}
    <Trouble error={making.error} again={() => making.mutate(undefined)} />
  {:else if making.data}
    <p class="leading-snug">
      Held before the camera of {of.account.name}’s device it opens the page where a passphrase is chosen. It is good
      once, until {day(making.data.until)}; links made before it are good no more.
    </p>
    <img class="mx-auto my-3 w-64 bg-white p-2" src={picture} alt="The link, for a camera" data-link-picture />
    <label
      ><span class="label">The same in letters</span>
      <input class="entry" readonly value={making.data.link} onfocus={(event) => event.currentTarget.select()} /></label
    >
  {:else}
    <Coming what="The link" />
  {/if}
</Sheet>
