<!-- A sentence whose words of the job open in the glossary by a tap. -->
<script lang="ts">
  import { openTerm, pieces } from './glossary.svelte'

  let { text }: { text: string } = $props()
</script>

{#each pieces(text) as it, n (n)}{#if it.term}<button type="button" class="term" onclick={() => openTerm.show(it.term)}
      >{it.text}</button
    >{:else}{it.text}{/if}{/each}

<style>
  .term {
    display: inline;
    font: inherit;
    color: inherit;
    letter-spacing: inherit;
    text-align: inherit;
    text-decoration: underline dotted 1.5px;
    text-underline-offset: 0.18em;
    cursor: help;
  }
</style>
