<!-- The lengths a golfer usually putts, and how often each beside the others: what a bias costs is told there too. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { refusal, type Shapes } from '$lib/data/client'
  import Stepper from '$lib/base/Stepper.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'

  type Lengths = NonNullable<Shapes['GolferIn']['usual_lengths']>
  interface Props {
    /** In force now: noted, or what is usual for anybody. */
    usual: Shapes['GolferOut']['usual_lengths']
    /** As edited; null goes by what is usual for anybody. */
    lengths: Lengths | null
    error: unknown
  }
  let { usual, lengths = $bindable(), error }: Props = $props()

  const fault = $derived(error ? refusal(error) : null)
  const longest = () => Math.max(...(lengths ?? []).map((it) => it.distance_m))
</script>

<details class="border-t border-hairline pt-1">
  <summary class="min-h-11 cursor-pointer py-2 font-semibold">Lengths usually putted</summary>
  {#if lengths === null}
    <p>What is usual for anybody: an opinion. The same angle costs more at one length than at another.</p>
    <button
      class="button mt-2"
      type="button"
      onclick={() => (lengths = usual.map((it) => ({ ...it, weight: it.weight ?? 1 })))}
      >Change them for this golfer</button
    >
  {:else}
    <ol class="grid gap-2" aria-label="Usual lengths">
      {#each lengths as it, n (n)}
        <li class="grid grid-cols-[1fr_1fr_auto] items-start gap-2 border-b border-hairline pb-2">
          <div>
            <LengthEntry
              of="usual_length_m"
              paced
              value={it.distance_m}
              error={fault?.about(`usual_lengths.${n}.distance_m`)}
              onvalue={(m) => (it.distance_m = m)}
            />
          </div>
          <Stepper
            label="How often"
            unit="×"
            text={String(it.weight)}
            error={fault?.about(`usual_lengths.${n}.weight`)}
            read={(text) => typedNumber(text.replace('×', ''))}
            step={(by) => (it.weight = Math.max(1, (it.weight ?? 1) + by))}
            onvalue={(value) => (it.weight = value)}
          />
          <button
            class="button plain"
            type="button"
            aria-label="Take out length {n + 1}"
            disabled={lengths.length === 1}
            onclick={() => lengths?.splice(n, 1)}>✕</button
          >
        </li>
      {/each}
    </ol>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        class="button"
        type="button"
        disabled={lengths.length >= 12}
        onclick={() => lengths?.push({ distance_m: Math.min(15, longest() + 1), weight: 1 })}>One more length</button
      >
      <button class="button" type="button" onclick={() => (lengths = null)}>What is usual for anybody</button>
    </div>
  {/if}
</details>
