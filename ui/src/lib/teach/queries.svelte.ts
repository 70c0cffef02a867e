/** Teaching drawings: all of them, and one with its levers where they stand. */
import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

export function drawingsQuery() {
  return createQuery(() => ({ queryKey: key.drawings(), queryFn: () => ask(api.GET('/api/teaching')) }))
}

/** While it is drawn anew the last good drawing stays. */
export function drawingQuery(lesson: () => string, code: () => string, stand: () => string[]) {
  return createQuery(() => ({
    queryKey: inUnits(key.drawing(lesson(), code(), ...stand())),
    queryFn: () =>
      ask(
        api.GET('/api/lessons/{id}/teaching/{code}', {
          params: { path: { id: lesson(), code: code() }, query: { stand: stand(), ...units() } }
        })
      ),
    placeholderData: keepPreviousData
  }))
}
