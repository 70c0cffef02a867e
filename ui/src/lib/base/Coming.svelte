<!-- Says that something is on its way, once it has been for 300 ms: a flicker tells nobody anything. -->
<script lang="ts">
  let { what }: { what: string } = $props()
  let late = $state(false)
  $effect(() => {
    const timer = setTimeout(() => (late = true), 300)
    return () => clearTimeout(timer)
  })
</script>

<p class="p-6 text-lg text-faded {late ? '' : 'invisible'}" role="status">{what} is coming…</p>
