<!-- Entries the server refused: kept here, with the reason, until the coach has seen them. -->
<script lang="ts">
  import { outbox } from '$lib/data/outbox.svelte'
</script>

{#if outbox.refused.length}
  <div class="border-b-2 border-danger px-4 py-2" role="alert">
    {#each outbox.refused as letter (letter.id)}
      <div class="flex flex-wrap items-center gap-x-3">
        <p class="flex-1">
          <strong>Not kept: {letter.words}.</strong>
          {letter.refused?.detail}
          {letter.refused?.remedy}
        </p>
        <button class="button" onclick={() => outbox.dismiss(letter.id)}>I have seen it</button>
      </div>
    {/each}
  </div>
{/if}
