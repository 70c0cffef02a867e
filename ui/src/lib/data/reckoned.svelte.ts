/** What the server works out for something that is being set on the page. */
import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
import { untrack } from 'svelte'
import type { Key } from './key'

/**
 * Worked out anew whenever `asked` gives something else; nothing is asked while it gives null.
 *
 * One question at a time: while a tape is pulled, the next is asked as soon as the last is answered. What was answered last
 * stands until the next is, also where that can't be: no flicker, no empty drawing.
 */
export function createReckoned<Q, A>(name: () => Key, asked: () => Q | null, reckon: (asked: Q) => Promise<A>) {
  const query = createQuery<A>(() => ({
    queryKey: name(),
    queryFn: () => reckon(asked() as Q),
    enabled: false,
    retry: false,
    gcTime: 0,
    placeholderData: keepPreviousData,
  }))
  let last = ''
  $effect(() => {
    const now = asked()
    const said = JSON.stringify([name(), now])
    if (now === null || query.isFetching || said === last) return
    last = said
    untrack(() => void query.refetch())
  })
  return query
}
