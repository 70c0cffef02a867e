<!-- What to mind at home, at the foot of the sheet. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'

  let { it }: { it: Shapes['SummaryOut'] } = $props()
</script>

<h2 class="wide mt-4 text-lg">Mind</h2>
<ul class="grid gap-1 pb-6">
  {#each it.cautions as one (one)}<li class="leading-snug">{one}</li>{/each}
</ul>
