<!-- A second screen for the golfer or a wall, at its own address. -->
<script lang="ts">
  import { page } from '$app/state'
  import WallPutts from '$lib/start/WallPutts.svelte'
</script>

<svelte:head><title>Wall · Libella</title></svelte:head>

<WallPutts id={page.params.id ?? ''} />
