<!-- Putts in from a file of any columns. -->
<script lang="ts">
  import { v7 } from 'uuid'
  import { goto } from '$app/navigation'
  import { page } from '$app/state'
  import { fileEndings, named } from '$lib/data/vocabulary.svelte'
  import { createAsk } from '$lib/data/write.svelte'
  import { golferQuery } from '$lib/golfer/queries.svelte'
  import { filesQuery } from '$lib/keep/queries.svelte'
  import { giveFile } from '$lib/keep/writes'
  import OneFile from '$lib/keep/OneFile.svelte'
  import { place } from '$lib/base/place.svelte'
  import Coming from '$lib/base/Coming.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { moment } from '$lib/base/dates'

  const id = $derived(page.params.id ?? '')
  const golfer = golferQuery(() => id)
  const files = filesQuery(() => id)
  const chosen = $derived(page.url.searchParams.get('file'))
  $effect(() => {
    if (golfer.data)
      place.set(
        [{ words: 'Today', href: '/' }, { words: golfer.data.name, href: `/golfers/${id}` }, { words: 'Files in' }],
        golfer.data.invented
      )
  })
  const giving = createAsk(
    (file: File) => giveFile(id, v7(), file),
    (given) => goto(`/golfers/${id}/files?file=${given}`)
  )
  const sending = $derived(giving.isPending ? giving.variables.name : '')
  const error = $derived(giving.error)
</script>

<svelte:head><title>Files in · Libella</title></svelte:head>

<div class="mx-auto max-w-[1040px] px-5 py-6">
  {#if golfer.error && !golfer.data}
    <h1 class="sr-only">Putts from a file</h1>
    <Trouble error={golfer.error} again={() => golfer.refetch()} />
  {:else if golfer.data}
    <div class="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink pb-3">
      <div class="min-w-0 flex-1">
        <h1 class="wide text-3xl">Putts from a file</h1>
        <p class="max-w-prose text-lg">
          CSV, JSON or a spreadsheet of any columns, for {golfer.data.name}. Nothing is taken in before you have seen
          how it is read.
        </p>
      </div>
      <label class="button primary min-h-14 cursor-pointer px-6 text-lg">
        {sending ? `Sending ${sending}…` : 'Choose a file'}
        <input
          type="file"
          class="sr-only"
          accept="{fileEndings()},text/csv,text/plain"
          disabled={Boolean(sending)}
          onchange={(event) => {
            const file = event.currentTarget.files?.[0]
            if (file) giving.mutate(file)
            event.currentTarget.value = ''
          }}
        />
      </label>
    </div>
    {#if error}<div class="mt-3"><Trouble {error} /></div>{/if}
    {#if files.data?.length}
      <ul class="mt-2" aria-label="Files">
        {#each files.data as it (it.id)}
          <li>
            <a
              class="flex min-h-12 items-center gap-3 border-b border-hairline hover:bg-sheet {it.id === chosen
                ? 'font-bold'
                : ''}"
              href="/golfers/{id}/files?file={it.id}"
              aria-current={it.id === chosen ? 'true' : undefined}
            >
              <span aria-hidden="true">{it.id === chosen ? '●' : '○'}</span>
              <span class="min-w-0 flex-1 truncate">{it.name}</span>
              <span class="text-faded"
                >{named('file_state', it.state)}{it.state === 'given'
                  ? ''
                  : `, ${it.putts.toLocaleString('en-GB')} putts`} · {moment(it.given_at)}</span
              >
            </a>
          </li>
        {/each}
      </ul>
    {:else if files.error}
      <div class="mt-3"><Trouble error={files.error} again={() => files.refetch()} /></div>
    {:else if !files.data}
      <Coming what="The list of files" />
    {:else}
      <p class="mt-5 text-lg">
        No file yet. One row a putt, a line of headings on top: choose it, and say what its columns tell.
      </p>
    {/if}
    {#if chosen}{#key chosen}<div class="mt-6"><OneFile id={chosen} /></div>{/key}{/if}
  {:else}
    <Coming page what="What is known of the golfer" />
  {/if}
</div>
