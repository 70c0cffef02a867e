<!-- What speaks for a finding, or against it: each line opens the step its readings were taken in. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'

  let { lessonId, title, facts }: { lessonId: string; title: string; facts: Shapes['FactOut'][] } = $props()
  const to = (it: Shapes['FactOut']) =>
    it.step === 'start'
      ? `/lessons/${lessonId}/judge${it.at ? `?block=${it.at}` : ''}`
      : `/lessons/${lessonId}/${it.step}`
</script>

<div>
  <p class="label">{title}</p>
  <ul>
    {#each facts as it (it.words)}
      <li>
        {#if it.step}<a
            class="inline-flex min-h-11 items-center underline decoration-hairline underline-offset-4 hover:decoration-ink"
            href={to(it)}>{it.words}</a
          >{:else}<span class="inline-flex min-h-11 items-center">{it.words}</span>{/if}
      </li>
    {/each}
  </ul>
</div>
