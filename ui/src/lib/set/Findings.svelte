<!-- What a planned rig can see: what speaks against it first, whether it will do, what to trust. -->
<script lang="ts">
  import type { Refusal, Shapes } from '$lib/data/client'
  import { named } from '$lib/data/vocabulary.svelte'
  import Stage from '$lib/drawing/Stage.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import type { Plan } from './plan'
  import { dropsQuery } from './queries.svelte'

  interface Props {
    /** The last plan that could be laid, and what is wrong with the one that stands. */
    seen: Shapes['Preview'] | undefined
    fault: Refusal | null
    plan: Plan
    /** A laser's cautions are still to be ticked. */
    unread: boolean
    apply: (remedy: Shapes['RemedyWords']) => void
    /** Lean the string's posts. */
    lean: (deg: number) => void
    again: () => void
    /** Prove the line; null where that is offered beside it already. */
    prove: (() => void) | null
  }
  let { seen, fault, plan, unread, apply, lean, again, prove }: Props = $props()

  let dropsShown = $state(false)
  const drops = dropsQuery(
    () => plan,
    () => Boolean(dropsShown && seen?.breaks.length && !fault)
  )
  const good = $derived(seen?.sight.fit === 'good')
</script>

{#if fault && !fault.problem.errors.length}
  <Trouble error={fault} {again} />
{:else if fault}
  <div class="border-l-4 border-danger pl-3" role="alert">
    <p class="font-semibold">This can't be laid. The drawing shows the last that could.</p>
    <p>{fault.message}</p>
  </div>
{/if}
{#if seen}
  {#if !seen.proved}
    <section class="grid gap-2 border-l-4 border-danger pl-3" class:opacity-50={Boolean(fault)} data-unproved>
      <p class="font-semibold">{seen.trust[0]}</p>
      {#if prove}<button class="button justify-start" disabled={Boolean(fault)} onclick={prove}>Prove the line…</button
        >{/if}
    </section>
  {/if}
  {#if seen.objections.length}
    <section class="grid gap-2 border-l-4 border-danger pl-3" class:opacity-50={Boolean(fault)} data-objections>
      {#each seen.objections as it (it.words)}
        <p><strong>{it.words}</strong> {it.why}</p>
      {/each}
    </section>
  {/if}
  {#if seen.string}
    {@const string = seen.string}
    <section class="grid gap-2 border-l-4 border-danger pl-3" class:opacity-50={Boolean(fault)} data-string-fit>
      <p><strong>{string.words}</strong></p>
      <button class="button justify-start" onclick={() => lean(string.lean_deg)}>Use: {string.offer}</button>
    </section>
  {/if}
  <section class:opacity-50={Boolean(fault)} data-fit={seen.sight.fit}>
    {#if seen.reads_start}<h2 class="wide text-xl">{good ? '✓' : '✕'} {named('fit', seen.sight.fit)}</h2>{/if}
    <p class="mt-1">{seen.sight.words}</p>
    {#if seen.sight.remedies.length}
      <div class="mt-2 flex flex-col gap-2" role="group" aria-label="What would do">
        {#each seen.sight.remedies as it (it.name)}
          <button class="button justify-start" onclick={() => apply(it)}>Use: {it.words}</button>
        {/each}
      </div>
    {/if}
  </section>
  <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-breaks>
    {#each seen.breaks as it (it)}<p>{it}</p>{/each}
    {#if seen.remedies.length}
      <div class="flex flex-col gap-2" role="group" aria-label="Where it punishes no good putt">
        {#each seen.remedies as it (it.name)}
          <button class="button justify-start" onclick={() => apply(it)}>Use: {it.words}</button>
        {/each}
      </div>
    {/if}
    <p>{seen.allows}</p>
  </section>
  {#if seen.breaks.length}
    <details class="border-t border-hairline" bind:open={dropsShown}>
      <summary class="min-h-11 cursor-pointer py-2 font-semibold">Which starts drop</summary>
      <div class="relative h-52">
        {#if drops.data}<Stage scene={drops.data} />{/if}
      </div>
    </details>
  {/if}
  <section class="grid gap-2 border-t border-hairline pt-3" class:opacity-50={Boolean(fault)} data-trust>
    {#each seen.trust as it, n (it)}{#if n || seen.proved}<p class={n ? '' : 'font-semibold'}>{it}</p>{/if}{/each}
  </section>
  {#each seen.cautions as it (it)}
    <!-- What is still to be ticked stands first. -->
    <p class="text-[15px] {unread ? 'order-first' : 'border-t border-hairline pt-3'}"><strong>Caution.</strong> {it}</p>
  {/each}
{/if}
