<!-- One file on its way in: how it is read, what can't be, and taking it in whole. -->
<script lang="ts">
  import { typedNumber } from '$lib/base/number'
  import { renew } from '$lib/data/cache'
  import { about as faultOf, type Shapes } from '$lib/data/client'
  import { every, key } from '$lib/data/key'
  import { choices } from '$lib/data/vocabulary.svelte'
  import { createWrite, firstError } from '$lib/data/write.svelte'
  import Choice from '$lib/base/Choice.svelte'
  import LengthEntry from '$lib/base/LengthEntry.svelte'
  import Stepper from '$lib/base/Stepper.svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day, moment } from '$lib/base/dates'
  import ColumnRows from './ColumnRows.svelte'
  import { fileProgressQuery, fileQuery } from './queries.svelte'
  import { readFileAs, redoFile, stopFile, takeFileIn, undoFile } from './writes'

  let { id }: { id: string } = $props()

  const given = fileQuery(() => id)
  const file = $derived(given.data)
  const work = fileProgressQuery(() => id)
  const it = $derived(work.data)
  type Mapping = Shapes['MappingIn']
  let changed = $state.raw<Mapping | null>(null)
  const mapping = $derived(changed ?? (file?.mapping as Mapping | undefined))
  const read = createWrite(
    (as: Mapping) => readFileAs(id, as),
    (_, as) => (readAs = as)
  )
  const take = createWrite(() => takeFileIn(id, Boolean(it?.bad)))
  const stop = createWrite(() => stopFile(id))
  const undo = createWrite(() => undoFile(id))
  const redo = createWrite(() => redoFile(id))
  const error = $derived(firstError([read, take, stop, undo, redo]))
  const about = (field: string) => faultOf(error, field)
  const set = (change: Partial<Mapping>) => {
    if (mapping) changed = { ...mapping, ...change }
  }
  /** What the coach says a cell was meant to say; the file itself stays as it was given. */
  const mendedAt = (line: number, column: number) =>
    mapping?.mended?.find((one) => one.line === line && one.column === column)?.text
  function mend(line: number, column: number, text: string): void {
    const others = (mapping?.mended ?? []).filter((one) => one.line !== line || one.column !== column)
    set({ mended: [...others, { line, column, text }] })
  }
  const busy = $derived(it?.phase === 'checking' || it?.phase === 'taking')
  // Taken in, undone and brought back are known here first.
  const stands = $derived(it?.state ?? 'given')
  $effect(() => {
    if (stands !== 'given') void renew(every(key.files), every(key.golferLessons))
  })
  // What was read through is out of date as soon as a column is read otherwise.
  let readAs = $state.raw<Mapping | null>(null)
  const looked = $derived(Boolean(it && ['checked', 'stopped', 'failed', 'done'].includes(it.phase)))
  const fresh = $derived(looked && (readAs === null || readAs === mapping))
  const same = (one: Mapping, other: Mapping) =>
    JSON.stringify({ ...one, mended: [] }) === JSON.stringify({ ...other, mended: [] })
  /** The rows stay in view while they are mended; taken in is only what was read so. */
  const mending = $derived(looked && !fresh && readAs !== null && mapping !== undefined && same(readAs, mapping))

  const putts = (n: number) => `${n.toLocaleString('en-GB')} ${n === 1 ? 'putt' : 'putts'}`
</script>

{#if given.error}
  <Trouble error={given.error} again={() => given.refetch()} />
{:else if file && mapping && it}
  <div data-file={it.phase} data-state={it.state}>
    <h2 class="wide text-xl wrap-anywhere">{file.name}</h2>
    <p class="text-faded">
      {file.rows.toLocaleString('en-GB')} rows, {file.columns.length} columns, cut at “{file.delimiter === '\t'
        ? 'tab'
        : file.delimiter}”.
      {#if file.remembered}Read as the last file with these headings was.{/if}
    </p>
    {#each file.passed_over as said (said)}<p class="font-semibold">{said}</p>{/each}
    {#if file.taken_before && it.state === 'given'}
      <p class="mt-1 border-l-4 border-danger pl-3 font-semibold">
        This very file was taken in {moment(file.taken_before)}: taken in again its putts would count twice.
      </p>
    {/if}
    {#if it.state !== 'given'}
      <p class="mt-3 text-lg font-semibold">
        {putts(it.putts)}
        {it.state === 'taken' ? 'taken in' : 'taken out again'}{it.skipped ? `, ${it.skipped} rows left out` : ''}.
      </p>
      {#if it.made.length}
        <ul class="mt-2 flex flex-wrap gap-2" aria-label="The lessons it made">
          {#each it.made as lesson (lesson.id)}
            <li>
              <a class="button primary" href="/lessons/{lesson.id}/judge">Open the lesson of {day(lesson.started_at)}</a
              >
            </li>
          {/each}
        </ul>
      {/if}
      {#if it.state === 'taken'}<button class="button mt-2" onclick={() => undo.mutate(undefined)}
          >Undo the import</button
        >
      {:else}<button class="button mt-2" onclick={() => redo.mutate(undefined)}>Bring it back</button>{/if}
    {:else}
      <div class="mt-3">
        <ColumnRows {file} columns={mapping.columns} errors={about} onchange={(columns) => set({ columns })} />
      </div>
      <details class="mt-2" open>
        <summary class="min-h-11 cursor-pointer py-2 font-semibold">What no column tells</summary>
        <div class="grid items-start gap-3 sm:grid-cols-3">
          <LengthEntry
            of="file_distance_m"
            value={mapping.distance_m ?? 2.5}
            error={about('distance_m')}
            onvalue={(m) => set({ distance_m: m })}
          />
          <Stepper
            label="Green speed"
            unit="ft"
            text={String(mapping.green_speed_ft ?? 10)}
            read={typedNumber}
            step={(by) => set({ green_speed_ft: (mapping.green_speed_ft ?? 10) + by * 0.5 })}
            onvalue={(value) => set({ green_speed_ft: value })}
            error={about('green_speed_ft')}
          />
          <Stepper
            label="Uncertainty of a start"
            unit="°"
            text={String(mapping.u_deg ?? 0.2)}
            read={typedNumber}
            step={(by) => set({ u_deg: Math.max(0.05, Math.round(((mapping.u_deg ?? 0.2) + by * 0.05) * 100) / 100) })}
            onvalue={(value) => set({ u_deg: value })}
            error={about('u_deg')}
          />
          <LengthEntry
            of="file_rig_m"
            value={mapping.rig_at_m ?? 0.3}
            error={about('rig_at_m')}
            onvalue={(m) => set({ rig_at_m: m })}
          />
          <Choice
            label="Decimals have a"
            options={choices<'.' | ','>('decimal')}
            bind:value={() => mapping.decimal ?? '.', (value) => set({ decimal: value })}
          />
          <div>
            <Choice
              label="Dates begin with the"
              options={choices<'day' | 'month'>('first_in_date')}
              bind:value={
                () => (mapping.day_first == null ? ('' as 'day') : mapping.day_first ? 'day' : 'month'),
                (value) => set({ day_first: value === 'day' })
              }
            />{#if about('day_first')}<p class="mt-0.5 text-[13px] font-semibold text-danger">
                {about('day_first')}
              </p>{/if}
          </div>
        </div>
      </details>
      {#if error}<div class="mt-2"><Trouble {error} /></div>{/if}
      {#if busy}
        <div class="mt-3 flex items-center gap-3" role="status">
          <progress class="h-6 flex-1" max={it.total} value={it.done} aria-label="How far it is"></progress>
          <span
            >{it.phase === 'checking' ? 'Reading' : 'Taking in'}
            {it.done.toLocaleString('en-GB')} of {it.total.toLocaleString('en-GB')}</span
          >
          <button class="button" onclick={() => stop.mutate(undefined)}>Stop</button>
        </div>
      {:else}
        <button class="button {fresh ? '' : 'primary'} mt-3 min-h-14 text-lg" onclick={() => read.mutate(mapping)}
          >{fresh || mending ? 'Read it again' : 'Read it so'}</button
        >
      {/if}
      {#if it.why}<p class="mt-2 font-semibold" role="status">{it.why}</p>{/if}
      {#if (fresh || mending) && !busy}
        <section class="mt-3 border-t border-hairline pt-3" data-check>
          <p class="text-lg font-semibold">
            {putts(it.good)} in {it.blocks}
            {it.blocks === 1 ? 'block' : 'blocks'} of {it.lessons}
            {it.lessons === 1 ? 'lesson' : 'lessons'}{it.first_at && it.last_at
              ? `, ${day(it.first_at)} to ${day(it.last_at)}`
              : ''}.
          </p>
          {#if it.read_out.length}
            <ul class="my-2 border-l-4 border-ink pl-3" aria-label="The first rows, read out">
              {#each it.read_out as said (said)}<li class="py-0.5">{said}</li>{/each}
            </ul>
          {/if}
          {#each it.doubts as said (said)}<p class="my-1 border-l-4 border-danger pl-3 font-semibold">{said}</p>{/each}
          {#if it.bad}
            <p class="font-semibold text-danger">
              {it.bad.toLocaleString('en-GB')}
              {it.bad === 1 ? 'row' : 'rows'} can’t be read. Nothing is taken in until you agree to leave {it.bad === 1
                ? 'it'
                : 'them'} out.
            </p>
            <ol class="mt-1 max-h-56 overflow-y-auto border border-hairline px-3" aria-label="Rows that can’t be read">
              {#each it.bad_rows as row (row.line)}
                <li class="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1 last:border-b-0">
                  <span class="min-w-0 flex-1 basis-72 wrap-anywhere">Line {row.line}, {row.column}: {row.reason}</span>
                  {#if row.at >= 0}
                    <input
                      class="entry w-40"
                      aria-label="{row.column} of line {row.line}, mended"
                      value={mendedAt(row.line, row.at) ?? row.cell}
                      maxlength="200"
                      onchange={(event) => mend(row.line, row.at, event.currentTarget.value)}
                    />
                  {/if}
                </li>
              {/each}
            </ol>
            {#if it.bad > it.bad_rows.length}<p class="text-sm text-faded">
                The first {it.bad_rows.length} are listed.
              </p>{/if}
          {/if}
          {#if it.good && fresh}
            <button class="button primary mt-3 min-h-14 text-lg" onclick={() => take.mutate(undefined)}
              >Take in {putts(it.good)}{it.bad ? `, leave out ${it.bad.toLocaleString('en-GB')}` : ''}</button
            >
          {/if}
        </section>
      {/if}
    {/if}
  </div>
{/if}
