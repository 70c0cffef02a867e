<!-- Everything out and in: one file of a golfer, or of the whole studio. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { page } from '$app/state'
  import Trouble from '$lib/base/Trouble.svelte'
  import { place } from '$lib/base/place.svelte'
  import { renew } from '$lib/data/cache'
  import { key } from '$lib/data/key'
  import { createAsk, createWrite, firstError } from '$lib/data/write.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'
  import { consentsQuery } from '$lib/people/consents'
  import { archiveQuery } from '$lib/keep/queries.svelte'
  import { giveArchive, lookAtArchive, makeArchive, stopArchive, takeArchiveIn } from '$lib/keep/writes'

  const golferId = $derived(page.url.searchParams.get('golfer') ?? '')
  const golfer = golferQuery(() => golferId)
  const consents = consentsQuery(() => golferId)
  const passed = $derived(consents.data?.asked.find((it) => it.asks === 'sharing'))
  let out = $state<string | null>(null)
  let into = $state<string | null>(null)
  let sent = $state(0)
  let size = $state(1)
  const made = archiveQuery(() => out)
  const given = archiveQuery(() => into)
  const making = createWrite((of: string | null) => makeArchive((out = v7()), of))
  const looking = createWrite((id: string) => lookAtArchive(id))
  const taking = createWrite((id: string) => takeArchiveIn(id))
  const stopping = createWrite((id: string) => stopArchive(id))
  const giving = createAsk(
    (file: File) => {
      sent = 0
      size = Math.max(file.size, 1)
      return giveArchive(v7(), file, (bytes) => (sent = bytes))
    },
    (id) => {
      into = id
      looking.mutate(id)
    }
  )
  const error = $derived(firstError([making, giving, looking, taking, stopping]))
  // What came in shows wherever golfers are listed.
  $effect(() => {
    if (given.data?.phase === 'taken') void renew(key.golfers(), key.today(), key.due())
  })
  $effect(() => {
    const who = golfer.data
    place.set(
      who
        ? [{ words: 'Today', href: '/' }, { words: who.name, href: `/golfers/${who.id}` }, { words: 'Out and in' }]
        : [{ words: 'Today', href: '/' }, { words: 'Out and in' }],
      who?.invented ?? false
    )
  })
  const count = (n: number) => n.toLocaleString('en-GB')
</script>

{#snippet progress(words: string, done: number, total: number, stop: (() => void) | null)}
  <div class="mt-3 flex flex-wrap items-center gap-3" role="status">
    <progress class="h-6 min-w-40 flex-1" max={Math.max(total, 1)} value={done} aria-label="How far it is"></progress>
    <span>{words}</span>
    {#if stop}<button class="button" onclick={stop}>Stop</button>{/if}
  </div>
{/snippet}

<svelte:head><title>Everything out and in · Libella</title></svelte:head>

<div class="mx-auto max-w-[820px] px-5 py-6">
  <h1 class="wide border-b-2 border-ink pb-2 text-2xl">Everything out and in</h1>
  {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
  <section class="mt-4" aria-labelledby="out">
    <h2 id="out" class="wide text-xl">Out</h2>
    <p class="max-w-prose">
      One file with all that is kept: rows as JSON and as tables, photographs, files of putts, and what the newest
      lessons came to on paper. Others can read it, and it comes back in here.
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      {#if golfer.data}
        <button class="button primary min-h-14 px-6 text-lg" onclick={() => making.mutate(golferId)}
          >Everything of {golfer.data.name}</button
        >
      {/if}
      <button class="button {golferId ? '' : 'primary'} min-h-14 px-6 text-lg" onclick={() => making.mutate(null)}
        >The whole studio</button
      >
    </div>
    {#if golferId && passed && passed.given !== true}
      <p class="mt-3" data-passed-on>
        {passed.name}: <b>{passed.says}</b>
        <a class="underline" href="/golfers/{golferId}#agreed">What is agreed</a>
      </p>
    {/if}
    {#if made.data?.phase === 'making'}
      {@render progress(
        `${Math.floor((100 * made.data.done) / Math.max(made.data.total, 1))} % made`,
        made.data.done,
        made.data.total,
        () => out && stopping.mutate(out)
      )}
    {:else if made.data?.phase === 'made'}
      <p class="mt-3" data-made>
        <a class="button primary min-h-14 px-6 text-lg" href="/api/archives/{made.data.id}/file" download
          >Save {made.data.name}</a
        >
      </p>
    {:else if made.data}
      <p class="mt-3 font-semibold" role="status">
        {made.data.phase === 'stopped' ? 'Stopped; nothing was made.' : 'It could not be made just now. Try again.'}
      </p>
    {/if}
  </section>
  <section class="mt-8" aria-labelledby="in">
    <h2 id="in" class="wide text-xl">In</h2>
    <p class="max-w-prose">
      An archive of a golfer or a studio. It is looked through first; then all of it comes in, or nothing. What stands
      here already stays as it is.
    </p>
    <label class="button mt-3 min-h-14 cursor-pointer px-6 text-lg">
      {giving.isPending ? 'Sending…' : 'Choose an archive'}
      <input
        type="file"
        class="sr-only"
        accept=".zip,application/zip"
        disabled={giving.isPending}
        onchange={(event) => {
          const file = event.currentTarget.files?.[0]
          if (file) giving.mutate(file)
          event.currentTarget.value = ''
        }}
      />
    </label>
    {#if giving.isPending}{@render progress(`${Math.round((100 * sent) / size)} % sent`, sent, size, null)}{/if}
    {#if given.data}
      {@const it = given.data}
      <div class="mt-3" data-given={it.phase}>
        {#if it.phase === 'checking' || it.phase === 'taking'}
          {@render progress(
            it.phase === 'checking'
              ? `Looking: ${count(it.done)} of ${count(it.total)} files`
              : `Taking in: ${count(it.done)} of ${count(it.total)}`,
            it.done,
            it.total,
            () => stopping.mutate(it.id)
          )}
        {/if}
        {#if it.phase === 'taken'}<p class="text-lg font-semibold">It is in.</p>{/if}
        {#each it.says as said (said)}<p class="mt-1 text-lg leading-snug wrap-break-word">{said}</p>{/each}
        {#if it.phase === 'stopped'}<p class="mt-2 font-semibold" role="status">
            Stopped; nothing of it was kept.
          </p>{/if}
        {#if it.phase === 'failed'}<p class="mt-2 font-semibold" role="status">
            It could not be taken in just now; nothing of it was. Try again.
          </p>{/if}
        {#if it.refused}<p
            class="mt-2 border-l-4 border-danger pl-3 font-semibold wrap-break-word"
            role="status"
            data-refused
          >
            {it.refused}
          </p>{/if}
        {#if it.damages.length}
          <ul class="mt-2 max-h-56 overflow-y-auto border border-hairline px-3" aria-label="Files that are damaged">
            {#each it.damages as one (one)}<li class="border-b border-hairline py-1 wrap-anywhere last:border-b-0">
                {one}
              </li>{/each}
          </ul>
        {/if}
        {#if (it.phase === 'checked' || it.phase === 'stopped') && !it.refused && it.says.length}
          <button class="button primary mt-3 min-h-14 px-6 text-lg" onclick={() => taking.mutate(it.id)}
            >Take it in</button
          >
        {/if}
      </div>
    {/if}
  </section>
</div>
