<!-- What a golfer, or a guardian, agreed to: each asked in plain words, dated, and withdrawn as easily. -->
<script lang="ts">
  import Choice from '$lib/base/Choice.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { outbox } from '$lib/data/outbox.svelte'
  import { createWrite } from '$lib/data/write.svelte'
  import { answer, consentsQuery, thingOf, type Asked } from './consents'

  let { golfer }: { golfer: { id: string; name: string } } = $props()
  const consents = consentsQuery(() => golfer.id)
  let asking = $state<Asked['asks'] | null>(null)
  let by = $state<'golfer' | 'guardian'>('golfer')
  const answering = createWrite(
    ({ asks, given }: { asks: Asked['asks']; given: boolean }) =>
      answer(golfer.name, { golfer_id: golfer.id, asks, given, by }),
    () => (asking = null)
  )
  function open(asks: Asked['asks']): void {
    asking = asking === asks ? null : asks
    by = consents.data?.minor ? 'guardian' : 'golfer'
    answering.reset()
  }
  const waits = (asks: Asked['asks']) => outbox.of(thingOf(golfer.id, asks)).length > 0
</script>

<section class="mt-8" id="agreed" data-agreed>
  <h2 class="wide border-b-2 border-ink pb-1 text-xl">What is agreed</h2>
  {#if consents.error}
    <Trouble error={consents.error} again={() => consents.refetch()} />
  {:else}
    <ul aria-label="What is agreed">
      {#each consents.data?.asked ?? [] as it (it.asks)}
        <li class="border-b border-hairline py-2" data-asks-consent={it.asks}>
          <p class="flex flex-wrap items-center gap-x-4">
            <span class="w-full shrink-0 font-semibold sm:w-56">{it.name}</span>
            <span class="min-w-0 flex-1" class:text-danger={it.given === false} class:text-faded={it.given === null}
              >{it.says}{waits(it.asks) ? ' Another answer waits to be sent.' : ''}</span
            >
            <button class="button min-h-11" aria-expanded={asking === it.asks} onclick={() => open(it.asks)}
              >{it.given === null ? 'Ask…' : it.given ? 'Withdraw, or ask anew…' : 'Ask anew…'}</button
            >
          </p>
          {#if asking === it.asks}
            <div class="mt-2 max-w-prose border-l-4 border-hairline pl-4">
              <p class="text-xl leading-snug">“{it.question}”</p>
              <div class="mt-3">
                <Choice
                  label="Who answers"
                  options={[
                    { value: 'golfer', words: `${golfer.name}, of age` },
                    { value: 'guardian', words: 'The guardian of a minor' }
                  ]}
                  bind:value={by}
                />
              </div>
              <div class="mt-3 flex flex-wrap gap-2">
                <button
                  class="button primary min-h-14 px-6 text-lg"
                  onclick={() => answering.mutate({ asks: it.asks, given: true })}>Agreed</button
                >
                <button
                  class="button min-h-14 px-6 text-lg"
                  onclick={() => answering.mutate({ asks: it.asks, given: false })}
                  >{it.given ? 'Withdrawn' : 'Not agreed'}</button
                >
              </div>
              {#if answering.error}<Trouble error={answering.error} />{/if}
            </div>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
