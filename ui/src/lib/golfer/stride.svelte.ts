/** The step of a golfer: kept with the golfer as soon as it is told where a length is paced off. */
import { stepsAre } from '$lib/base/stride.svelte'
import { api, ask } from '$lib/data/client'
import { createWrite } from '$lib/data/write.svelte'
import { notedOf } from './noted'
import { noteGolfer } from './writes'

/** Lengths below here are paced off by the golfer: `stands` is the step as it is kept, metres. */
export function golferPaces(id: () => string | undefined, stands: () => number | null): void {
  const noting = createWrite(({ id, body }: { id: string; body: Parameters<typeof noteGolfer>[1] }) =>
    noteGolfer(id, body)
  )
  /** Told here, and of whom. */
  let told = $state<{ id: string; metres: number } | null>(null)
  async function keep(step_m: number): Promise<void> {
    const golfer = id()
    if (!golfer) return
    told = { id: golfer, metres: step_m }
    const stands = notedOf(await ask(api.GET('/api/golfers/{id}', { params: { path: { id: golfer } } })))
    noting.mutate({ id: golfer, body: { ...stands, step_m, seen: null, hand_from: null } })
  }
  stepsAre({
    get metres() {
      return told && told.id === id() ? told.metres : stands()
    },
    whose: 'the golfer’s',
    keep: (metres) => void keep(metres)
  })
}
