<!-- A claim opened: what it rests on, each to where it was tapped; what was left out; how its word came about; what would change it most. -->
<script lang="ts">
  import Coming from '$lib/base/Coming.svelte'
  import Said from '$lib/base/Said.svelte'
  import Sheet from '$lib/base/Sheet.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Shapes } from '$lib/data/client'
  import { explainedQuery, type Opened } from './queries.svelte'

  interface Props {
    open: boolean
    of: Opened
    /** What is opened, by its key. */
    key: string
    name: string
  }
  let { open = $bindable(), of, key, name }: Props = $props()
  const opened = explainedQuery(
    () => of,
    () => key,
    () => open
  )
  const it = $derived(opened.data)
  // It comes a moment after the sheet: the focus goes to what is read first.
  let told = $state<HTMLElement>()
  $effect(() => told?.focus({ preventScroll: true }))
  /** To where it was tapped: in the lesson that is open, or in the one it was read in. */
  function to(one: Shapes['RestsOut']): string {
    const here = 'lesson' in of ? of.lesson : 'map' in of ? of.map : 'sides' in of ? of.sides.second : ''
    const lesson = `/lessons/${one.lesson || here}`
    return one.step === 'start' ? `${lesson}/judge?block=${one.at}` : `${lesson}/${one.step || 'judge'}`
  }
</script>

<Sheet bind:open title="Why: {name}" wide>
  {#if opened.error && !it}
    <Trouble error={opened.error} again={() => opened.refetch()} />
  {:else if !it}
    <Coming what="Why" />
  {:else}
    <div class="grid gap-4 outline-none" tabindex="-1" bind:this={told} data-explained={key}>
      <p class="text-lg font-semibold"><Said text={it.says} /></p>
      {#if it.moves.length}
        <section>
          <h3 class="label">What would change it most</h3>
          <ul>
            {#each it.moves as one (one)}<li class="leading-snug">{one}</li>{/each}
          </ul>
        </section>
      {/if}
      {#if it.sums.length}
        <section>
          <h3 class="label">How it comes about</h3>
          <ul class="grid gap-1" data-sums>
            {#each it.sums as one (one)}<li class="leading-snug">{one}</li>{/each}
          </ul>
        </section>
      {/if}
      {#if it.held.length}
        <section>
          <h3 class="label">Held otherwise than it stands</h3>
          <ul data-held>
            {#each it.held as one (one)}<li class="leading-snug">{one}</li>{/each}
          </ul>
          <a class="inline-flex min-h-11 items-center underline" href="/opinions">Every number that is an opinion</a>
        </section>
      {/if}
      <section>
        <h3 class="label">What it rests on</h3>
        <p class="leading-snug">{it.rests}</p>
        <ol class="mt-1 flex flex-wrap gap-x-4" data-rests>
          {#each it.readings as one (`${one.at} ${one.id}`)}<li>
              {#if one.step || one.lesson}<a
                  class="inline-flex min-h-11 items-center underline decoration-hairline underline-offset-4"
                  href={to(one)}>{one.words}{one.weight < 1 ? ', doubted' : ''}</a
                >{:else}<span class="inline-flex min-h-11 items-center">{one.words}</span>{/if}
            </li>{/each}
        </ol>
        {#each it.left_out as one (one)}<p class="mt-1 leading-snug text-faded">{one}</p>{/each}
      </section>
    </div>
  {/if}
</Sheet>
