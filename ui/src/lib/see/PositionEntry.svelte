<!-- Where the head or the ball is for a test: as usual, or one thing moved. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { entry } from '$lib/data/vocabulary.svelte'
  import type { Refusal, Shapes } from '$lib/data/client'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import { leversQuery } from './queries.svelte'
  import Stepper from '$lib/base/Stepper.svelte'

  interface Props {
    position: Record<string, number>
    error: Refusal | null
  }
  let { position = $bindable(), error }: Props = $props()

  const levers = leversQuery()
  const moved = $derived((levers.data ?? []).filter((it) => it.lever in position))
  const first = (it: Shapes['LeverOut']) => it.step * 5
  const words = (it: Shapes['LeverOut'], at: number) => (at === 0 ? 'as usual' : at > 0 ? it.plus : it.minus)
</script>

<div>
  <span class="label mb-1 block">Head and ball for this test</span>
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="What is moved">
    <button
      type="button"
      class="button {moved.length ? '' : 'border-ink bg-ink text-paper!'}"
      aria-pressed={!moved.length}
      onclick={() => (position = {})}>As usual</button
    >
    {#each levers.data ?? [] as it (it.lever)}
      <button
        type="button"
        class="button {it.lever in position ? 'border-ink bg-ink text-paper!' : ''}"
        aria-pressed={it.lever in position}
        onclick={() => (position = { [it.lever]: position[it.lever] ?? first(it) })}>{it.name}</button
      >
    {/each}
  </div>
  {#if moved.length}
    <div class="mt-3 grid gap-x-5 gap-y-3 sm:grid-cols-2">
      {#each moved as it (it.lever)}
        {@const at = position[it.lever] ?? 0}
        {#if it.unit === 'mm'}
          <LengthEntry
            label="{it.name}: {words(it, at)}"
            hint="{it.plus} +, {it.minus} −."
            value={at / 1000}
            limits={{
              ...it,
              label: it.name,
              hint: '',
              low: entry('moved_mm').low / 1000,
              high: entry('moved_mm').high / 1000,
              step: it.step / 1000
            }}
            error={error?.about(`position.${it.lever}`)}
            onvalue={(m) => (position = { ...position, [it.lever]: Math.round(m * 1e8) / 1e5 })}
          />
        {:else}
          <Stepper
            label="{it.name}: {words(it, at)}"
            hint="{it.plus} +, {it.minus} −."
            unit="°"
            text={String(at)}
            read={typedNumber}
            step={(by) => (position = { ...position, [it.lever]: at + by * it.step })}
            error={error?.about(`position.${it.lever}`)}
            onvalue={(deg) => (position = { ...position, [it.lever]: deg })}
          />
        {/if}
      {/each}
    </div>
  {/if}
</div>
