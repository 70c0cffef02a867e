/** What the server works out for something that is being set on the page. */
import { createQuery } from '@tanstack/svelte-query'
import { untrack } from 'svelte'
import type { Key } from './key'

/** What was asked is held so long: coming back to a step shows it at once. */
const HELD_MS = 10_000

/**
 * Worked out anew whenever `asked` gives something else; nothing is asked while it gives null.
 *
 * One question at a time: while a tape is pulled, the next is asked as soon as the last is answered. What was answered last
 * stands until the next is, also where that can't be: no flicker, no empty drawing.
 */
export function createReckoned<Q, A>(name: () => Key, asked: () => Q | null, reckon: (asked: Q) => Promise<A>) {
  let now = $state.raw<Q | null>(null)
  let said = ''
  const query = createQuery<A>(() => ({
    queryKey: [...name(), now],
    queryFn: () => reckon(now as Q),
    enabled: now !== null,
    retry: false,
    gcTime: HELD_MS,
  }))
  $effect(() => {
    const next = asked()
    const told = JSON.stringify(next)
    if (next === null || query.isFetching || told === said) return
    said = told
    untrack(() => (now = next))
  })
  let last: A | undefined
  const data = $derived.by(() => (last = query.data ?? last))
  return {
    get data(): A | undefined {
      return data
    },
    get error(): Error | null {
      return query.error
    },
    /** The answer is on its way, also where the last one still stands. */
    get isFetching(): boolean {
      return query.isFetching
    },
    refetch: () => query.refetch(),
  }
}
