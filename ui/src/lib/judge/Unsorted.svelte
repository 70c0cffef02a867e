<!-- Names typed before factors were known: what each of them meant is asked once, with a tap. -->
<script lang="ts">
  import Trouble from '$lib/base/Trouble.svelte'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import type { Sent } from '$lib/data/letter'
  import { sortOut } from './writes'

  let { lessonId, golferId, names }: { lessonId: string; golferId: string; names: string[] } = $props()
  type Factor = Sent<'/api/unsorted'>['factor']
  const FACTORS = choices<NonNullable<Factor>>('factor')
  const sorting = createWrite((it: { name: string; factor: Factor }) =>
    sortOut(lessonId, { golfer_id: golferId, ...it })
  )
</script>

{#each names as name (name)}
  <section class="mt-3 border-l-4 border-engraved pl-3" data-unsorted={name}>
    <p class="font-semibold">What did “{name}” mean?</p>
    <p class="mt-1 flex flex-wrap gap-2">
      {#each FACTORS as it (it.value)}<button
          class="button min-h-12"
          onclick={() => sorting.mutate({ name, factor: it.value })}>{it.words}</button
        >{/each}
      <button class="button min-h-12" onclick={() => sorting.mutate({ name, factor: null })}>As usual</button>
    </p>
  </section>
{/each}
{#if sorting.error}<Trouble error={sorting.error} />{/if}
