/** Every number that is an opinion. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

export function opinionsQuery() {
  return createQuery(() => ({
    queryKey: inUnits(key.opinions()),
    queryFn: () => ask(api.GET('/api/opinions', { params: { query: units() } }))
  }))
}
