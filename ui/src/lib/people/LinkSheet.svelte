<!-- A one-time link: held before a camera, or told in another way. -->
<script lang="ts">
  import { onMount, type Snippet } from 'svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Shapes } from '$lib/data/client'
  import { createAsk } from '$lib/data/write.svelte'
  import LinkPicture from './LinkPicture.svelte'

  interface Props {
    open: boolean
    title: string
    make: () => Promise<Shapes['LinkForOut']>
    /** What it opens, and until when. */
    says: Snippet<[string]>
  }
  let { open = $bindable(), title, make, says }: Props = $props()
  const making = createAsk(() => make())
  onMount(() => making.mutate(undefined))
</script>

<Sheet bind:open {title}>
  {#if making.error}
    <Trouble error={making.error} again={() => making.mutate(undefined)} />
  {:else if making.data}
    <p class="leading-snug">{@render says(making.data.until)}</p>
    <LinkPicture class="mx-auto my-3 w-64" picture={making.data.picture} alt="The link, for a camera" />
    <label
      ><span class="label">The same in letters</span>
      <input class="entry" readonly value={making.data.link} onfocus={(event) => event.currentTarget.select()} /></label
    >
  {:else}
    <Coming what="The link" />
  {/if}
</Sheet>
