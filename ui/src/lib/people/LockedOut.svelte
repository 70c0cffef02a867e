<!-- Said on a device that is lost, or whose account was locked: what it kept is gone, and what it had not sent is refused. -->
<script lang="ts">
  let { lost }: { lost: number } = $props()
</script>

<div class="mx-auto max-w-md px-5 pt-8" role="alert" data-locked-out>
  <p class="border-l-4 border-danger py-1 pl-3 text-lg leading-snug">
    <b>This device was locked out by the owner of the studio, or as lost by whoever was signed in on it.</b>
    What it kept of golfers is gone from it.
    {#if lost}{lost === 1 ? '1 entry' : `${lost} entries`} made on it did not reach Libella and {lost === 1
        ? 'is'
        : 'are'} refused.{/if}
  </p>
</div>
