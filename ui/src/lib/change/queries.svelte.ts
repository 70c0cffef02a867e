/** What Change asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** What a lesson comes to for its golfer: what they came with, the answer, the one change. */
export function changeQuery(id: () => string, wanted: () => boolean = () => true) {
  return createQuery(() => ({
    queryKey: inUnits(key.change(id())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/change', { params: { path: { id: id() }, query: units() } })),
    enabled: wanted() && Boolean(id()),
    staleTime: 0
  }))
}
