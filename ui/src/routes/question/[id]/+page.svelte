<!-- The golfer's own screen, at its own address. -->
<script lang="ts">
  import { page } from '$app/state'
  import WallQuestion from '$lib/see/WallQuestion.svelte'
</script>

<svelte:head><title>For the golfer · Libella</title></svelte:head>

<WallQuestion id={page.params.id ?? ''} />
