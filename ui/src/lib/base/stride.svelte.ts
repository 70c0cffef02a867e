/** How long a step is, for lengths that are paced off: the golfer's own inside a lesson, else this device's. */
import { getContext, setContext } from 'svelte'
import { settings } from './settings.svelte'

export interface Stride {
  /** Metres; null while nobody said. */
  readonly metres: number | null
  /** Whose step it is, for the question how long it is. */
  readonly whose: string
  keep(metres: number): void
}

const HERE = Symbol('stride')
const OWN: Stride = {
  get metres() {
    return settings.step
  },
  whose: 'your',
  keep: (metres) => (settings.step = metres)
}

export const stepsAre = (stride: Stride): Stride => setContext(HERE, stride)

export const stride = (): Stride => getContext<Stride | undefined>(HERE) ?? OWN
