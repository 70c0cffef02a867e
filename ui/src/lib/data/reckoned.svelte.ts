/** What the server works out for something that is being set on the page. */
import { createQuery } from '@tanstack/svelte-query'
import { untrack } from 'svelte'
import { cache } from './cache'
import type { Key } from './key'

/** What was asked is held so long: coming back to a step shows it at once. */
const HELD_MS = 10_000

/** An answer, or why there is none, with what it was asked. */
type Answer<A> = { of: string } & ({ data: A; error: null } | { data: undefined; error: Error })

/**
 * Worked out anew whenever `asked` gives something else; nothing is asked while it gives null.
 *
 * One question at a time: while a tape is pulled, the next is asked as soon as the last is answered. What was answered last
 * stands until the next is, also where that can't be: no flicker, no empty drawing.
 */
export function createReckoned<Q, A>(name: () => Key, asked: () => Q | null, reckon: (asked: Q) => Promise<A>) {
  let now = $state.raw<Q | null>(null)
  const wanted = $derived(JSON.stringify(asked()))
  const said = $derived(JSON.stringify(now))
  const query = createQuery<Answer<A>>(
    () => {
      const of = said
      return {
        queryKey: [...name(), now],
        queryFn: () =>
          reckon(now as Q).then(
            (data) => ({ of, data, error: null }),
            (error: Error) => ({ of, data: undefined, error })
          ),
        enabled: now !== null,
        gcTime: HELD_MS
      }
    },
    () => cache
  )
  $effect(() => {
    if (wanted === 'null' || query.isFetching || wanted === said) return
    // A copy: what is asked is not what is set on.
    untrack(() => (now = JSON.parse(wanted) as Q))
  })
  let last: Answer<A> | undefined
  const answer = $derived.by(() => (last = query.data ?? last))
  let lastData: A | undefined
  const data = $derived.by(() => (lastData = answer?.data ?? lastData))
  return {
    get data(): A | undefined {
      return data
    },
    get error(): Error | null {
      return answer?.error ?? null
    },
    /** What is asked now is not answered yet: what stands was answered to something before it. */
    get isPending(): boolean {
      return wanted !== 'null' && (query.isFetching || answer?.of !== wanted)
    },
    refetch: () => query.refetch()
  }
}
