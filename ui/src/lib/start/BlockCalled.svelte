<!-- What a block is called, and what in it was not as usual: can be said otherwise at any time. -->
<script lang="ts">
  import { about, type Shapes } from '$lib/data/client'
  import { createWrite } from '$lib/data/write.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import CueAndRoutine from './CueAndRoutine.svelte'
  import { sayHow } from './writes'

  interface Props {
    lessonId: string
    block: Pick<Shapes['BlockOut'], 'id' | 'condition' | 'factors'>
  }
  let { lessonId, block }: Props = $props()

  const saying = createWrite((body: Shapes['HowIn']) => sayHow(lessonId, block.id, body))
  // svelte-ignore state_referenced_locally
  let name = $state(block.condition)
  function call(): void {
    if (name.trim() && name.trim() !== block.condition)
      saying.mutate({ condition: name.trim(), factors: block.factors })
  }
</script>

<section class="mb-3 grid gap-3 border-b border-hairline pb-3" data-called>
  <label class="block"
    ><span class="label">This block is called</span><input
      class="entry"
      bind:value={name}
      maxlength="80"
      onchange={call}
    /></label
  >
  <CueAndRoutine
    factors={block.factors}
    change={(factors) => saying.mutate({ condition: name.trim() || block.condition, factors })}
  />
  {#if saying.error && !about(saying.error, 'condition')}<Trouble error={saying.error} />{/if}
</section>
