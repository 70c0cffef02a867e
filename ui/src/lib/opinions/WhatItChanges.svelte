<!-- What would be said otherwise, golfer by golfer, before something that is an opinion is held. -->
<script lang="ts" generics="T">
  import type { Snippet } from 'svelte'
  import Trouble from '$lib/base/Trouble.svelte'
  import { day } from '$lib/base/dates'
  import { type Shapes } from '$lib/data/client'
  import { lessonsConcerned, type Whose } from './queries.svelte'

  interface Props {
    /** What is tried: whatever changes of it makes what was found before another's. */
    tried: T
    /** A lesson judged without it and with it. */
    weigh: (lesson: string, tried: T) => Promise<Shapes['WeighedOut']>
    whose: Whose
    /** What is done with it then: beside the button, so that it stays under the thumb however much is found. */
    children: Snippet
  }
  let { tried, weigh, whose, children }: Props = $props()

  interface Row {
    of: Shapes['ConcernedOut']
    it: Shapes['WeighedOut']
  }
  let rows = $state.raw<Row[]>([])
  let of = $state<number | null>(null)
  let trouble = $state<Error | null>(null)
  let going = 0
  /** A number changed after it was asked: what was found is of another one. */
  let about = $state('')
  const now = $derived(JSON.stringify([tried, whose]))

  async function look(): Promise<void> {
    const mine = ++going
    about = now
    rows = []
    of = null
    trouble = null
    const asked = $state.snapshot(tried) as T
    try {
      const lessons = await lessonsConcerned($state.snapshot(whose))
      if (mine === going) of = lessons.length
      for (const lesson of lessons) {
        const it = await weigh(lesson.lesson_id, asked)
        // Asked anew meanwhile.
        if (mine !== going) return
        rows = [...rows, { of: lesson, it }]
      }
    } catch (fault) {
      if (mine === going) trouble = fault as Error
    }
  }
  const claims = $derived(rows.reduce((n, it) => n + it.it.claims, 0))
  const others = $derived(rows.filter((it) => it.it.others.length))
</script>

<section class="grid gap-2" data-changes>
  <div class="flex flex-wrap gap-2">
    <button type="button" class="button" onclick={() => void look()}>See what it changes</button>
    {@render children()}
  </div>
  {#if about}
    {#if about !== now}
      <p role="status">The number was changed since: look again.</p>
    {:else}
      <p role="status" aria-live="polite">
        {#if of === null}
          Looking which lessons it concerns…
        {:else if of === 0}
          No lesson yet that it could change.
        {:else if rows.length < of}
          Weighed anew: {rows.length} of {of} golfers’ last lessons…
        {:else if others.length}
          Of {claims} claims in {of} last {of === 1 ? 'lesson' : 'lessons'} these would be said otherwise:
        {:else}
          None of {claims} claims in {of} last {of === 1 ? 'lesson' : 'lessons'} would be said otherwise.
        {/if}
      </p>
      {#each others as row (row.of.lesson_id)}
        <div class="border-l-4 border-hairline pl-3">
          <p class="font-semibold wrap-break-word">{row.of.golfer}, {day(row.of.started_at)}</p>
          <ul class="grid gap-1.5">
            {#each row.it.others as other (other.name)}
              <li class="text-[15px] leading-snug">
                <span class="font-semibold">{other.name}</span>
                <span class="block text-faded">Now: {other.before}</span>
                <span class="block">Then: {other.after}</span>
              </li>
            {/each}
          </ul>
        </div>
      {/each}
      {#if trouble}<Trouble error={trouble} again={() => void look()} />{/if}
    {/if}
  {/if}
</section>
