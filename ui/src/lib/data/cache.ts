/** Answers of the server as they are held on this page. */
import { QueryClient } from '@tanstack/svelte-query'
import { Refusal } from './client'
import { every, key, type Key } from './key'

/** What the server says no to stays no; silence is asked again. */
const NO = new Set([404, 409, 422])

export const cache = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (tries, error) => tries < 3 && !(error instanceof Refusal && NO.has(error.problem.status)),
      retryDelay: (tries) => 500 * (tries + 1),
      networkMode: 'always',
      staleTime: 1000,
      // Held for as long as the page stands: where there is no network it is what is shown.
      gcTime: Infinity,
      // Told of the whole answer, whatever a page read of it so far: one that had looked at its error alone never saw its
      // data where another answer came later.
      notifyOnChangeProps: 'all'
    },
    // The outbox knows when to send again, also after the page was closed.
    mutations: { retry: false, networkMode: 'always' }
  }
})

/**
 * Ask these again wherever they show. A first question still on its way is let go too: it may have been asked before what
 * makes this necessary, and its answer would stand as the newest.
 */
export async function renew(...keys: Key[]): Promise<void> {
  await Promise.all(
    keys.map(async (queryKey) => {
      await cache.cancelQueries({ queryKey, predicate: ({ state }) => state.data === undefined })
      await cache.invalidateQueries({ queryKey })
    })
  )
}

/**
 * Put what a write was answered where views read it. What was asked before it is let go, or its older answer would come
 * later and undo on the page what was just kept; if there was such a question it is asked again.
 */
export async function putAnswer<T>(queryKey: Key, answer: T): Promise<void> {
  const asked = cache.isFetching({ queryKey }) > 0
  await cache.cancelQueries({ queryKey })
  cache.setQueryData(queryKey, answer)
  if (asked) void renew(queryKey)
}

/** Nothing of what was shown until now is held any more; what shows is asked for anew. */
export async function beginAnew(): Promise<void> {
  cache.removeQueries({ type: 'inactive' })
  await cache.resetQueries()
}

/** Everything that may change with a lesson and its blocks. */
export const ofLesson = (id: string): Key[] => [key.lesson(id), every(key.judged), key.comparisons(id), key.today()]
