<!-- What went wrong, what was kept, what to do. -->
<script lang="ts">
  import { refusal } from '$lib/data/client'

  interface Props {
    error: unknown
    again?: () => void
  }
  let { error, again }: Props = $props()
  const problem = $derived(refusal(error).problem)
</script>

<div class="border-l-4 border-danger py-1 pl-3" role="alert">
  <p class="font-semibold">{problem.title}</p>
  <p>{problem.detail}</p>
  {#if problem.status === 412}{#each problem.errors as it (it.field)}<p>{it.message}</p>{/each}{/if}
  {#if problem.remedy}<p>{problem.remedy}</p>{/if}
  {#if again}<button class="button mt-2" onclick={again}>Try again</button>{/if}
</div>
