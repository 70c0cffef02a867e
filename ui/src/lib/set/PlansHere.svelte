<!-- The plans of this lesson: which is current, what each took the place of, and going on with another. -->
<script lang="ts">
  import type { Shapes } from '$lib/data/client'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import PutRight from './PutRight.svelte'

  interface Props {
    /** The lesson's plans, oldest first. */
    stations: readonly Shapes['StationOut'][]
    now: string | undefined
    error: Error | null
    goOn: (it: Shapes['StationOut']) => void
  }
  let { stations, now, error, goOn }: Props = $props()

  let open = $state(false)
  /** The plan of which a size was entered wrong. */
  let wrong = $state.raw<Shapes['StationOut'] | undefined>()
  let righting = $state(false)
</script>

{#if error}<div class="w-full"><Trouble {error} /></div>{/if}
{#if stations.length}
  <button class="button" type="button" onclick={() => (open = true)}>Plans {stations.length}…</button>
{/if}
<Sheet bind:open title="The plans of this lesson">
  <p class="mb-2 text-faded">
    A plan on which something was read stands as it was. What you change then is a new plan, which takes its place.
  </p>
  <ul aria-label="Plans of this lesson">
    {#each stations.toReversed() as it (it.id)}
      <li
        class="flex flex-wrap items-start gap-2 border-b border-hairline py-2"
        data-plan={it.id === now ? 'now' : 'other'}
      >
        <div class="min-w-0 flex-1">
          <p class="font-bold">{it.words}{it.id === now ? ' · the plan now' : ''}</p>
          <p class="text-sm">{it.proof_words}</p>
          {#each it.replaced as said (said)}<p class="text-sm text-faded">{said}</p>{/each}
        </div>
        {#if it.used}
          <button
            class="button"
            type="button"
            aria-label="A size was wrong… of {it.words}"
            onclick={() => {
              wrong = it
              open = false
              righting = true
            }}>A size was wrong…</button
          >
        {/if}
        {#if it.id !== now}
          <button
            class="button"
            type="button"
            aria-label="Go on with {it.words}"
            onclick={() => {
              goOn(it)
              open = false
            }}>Go on with it</button
          >
        {/if}
      </li>
    {/each}
  </ul>
</Sheet>
{#if wrong}<PutRight bind:open={righting} lessonId={wrong.lesson_id} of="plan" id={wrong.id} />{/if}
