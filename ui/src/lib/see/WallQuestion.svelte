<!-- For the golfer: the question, and nothing else. -->
<script lang="ts">
  import Demo from '$lib/base/Demo.svelte'
  import { questionQuery } from './queries.svelte'

  let { id }: { id: string } = $props()
  const asked = questionQuery(() => id)
</script>

<div
  class="fixed inset-0 z-40 flex flex-col items-center justify-center bg-paper p-8 text-center"
  data-question
  aria-live="polite"
>
  {#if !asked.data || asked.error}
    <p class="text-2xl">Waiting for the coach’s screen…</p>
  {:else if asked.data.question}
    <p class="wide text-[clamp(2.5rem,8vw,6rem)] leading-tight">{asked.data.question}</p>
    <p class="mt-10 text-2xl text-faded">Look, then say it.</p>
  {:else}
    <p class="text-2xl text-faded">Nothing is asked just now.</p>
  {/if}
  {#if asked.data?.invented}<p class="absolute top-4 left-4"><Demo /></p>{/if}
</div>
