<!-- For the golfer's screen or the wall, at its own address: what the lesson comes to. -->
<script lang="ts">
  import { page } from '$app/state'
  import WallFinding from '$lib/judge/WallFinding.svelte'
</script>

<svelte:head><title>Wall · Libella</title></svelte:head>

<WallFinding id={page.params.id ?? ''} />
