<!-- What can't be begun without a network: said where it would be begun, with what to do instead. -->
<script lang="ts">
  let { why }: { why: string } = $props()
</script>

<p class="border-l-4 border-ink py-1 pl-3 leading-snug" data-needs-network><b>No network.</b> {why}</p>
