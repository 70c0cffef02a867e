/** A comparison while it is planned: what is set against what, and how many putts each in which turns. */
import type { Shapes } from '$lib/data/client'
import { planOf, type Plan } from '$lib/set/plan'

export type Kind = 'conditions' | 'distances' | 'transfer'
const MOST_CONDITIONS = 5
const FEWEST_CONDITIONS = 2
/** Lengths that near are one. */
const SAME_M = 0.005

/** A condition to be putted: on the station that stands, or on one that is laid for it. */
export interface Condition {
  name: string
  guided: boolean
  lay: Plan | null
}

export class Comparing {
  kind = $state<Kind>('conditions')
  names = $state(['as usual', 'wide base'])
  distances_m = $state<number[]>([])
  each = $state(9)
  run = $state(3)
  order = $state<Shapes['ComparisonIn']['order']>('alternating')
  question = $state<Shapes['ComparisonIn']['question']>('line')

  /** `used`: conditions putted in this lesson so far, by which the first two are named. */
  constructor(distance_m: number, used: readonly string[] = []) {
    const [one, other] = [...new Set(used)].slice(-MOST_CONDITIONS)
    if (one) this.names = [one, other ?? (one === 'wide base' ? 'as usual' : 'wide base')]
    // The first three are near what is laid; the coach changes them.
    this.distances_m = [distance_m - 1, distance_m, distance_m + 1.5].map((it) => Math.max(1.2, it))
  }

  more(): void {
    if (this.names.length < MOST_CONDITIONS) this.names = [...this.names, '']
  }
  fewer(): void {
    if (this.names.length > FEWEST_CONDITIONS) this.names = this.names.slice(0, -1)
  }
  get grows(): boolean {
    return this.names.length < MOST_CONDITIONS
  }
  get shrinks(): boolean {
    return this.names.length > FEWEST_CONDITIONS
  }

  /** What is to be putted, first to last; `length` names a distance in the coach's units. */
  conditions(station: Plan, guided: boolean, length: (m: number) => string): Condition[] {
    if (this.kind === 'conditions') return this.names.filter((it) => it.trim()).map((name) => ({ name, guided, lay: null }))
    const changed = (change: Partial<Plan>): Plan => ({ ...planOf(station), ...change })
    if (this.kind === 'distances')
      return this.distances_m.map((distance_m) => ({
        name: length(distance_m), guided, lay: Math.abs(distance_m - station.distance_m) < SAME_M ? null : changed({ distance_m }),
      }))
    const flip: Partial<Plan> = station.falls_right_percent ? { falls_right_percent: -station.falls_right_percent, read: null, target: 'computed' } : {}
    return [
      { name: 'with the aid', guided: true, lay: null },
      { name: 'without it', guided: false, lay: station.aids.length ? changed({ aids: [] }) : null },
      { name: 'other side of the hole', guided: false, lay: changed({ aids: [], ...flip }) },
    ]
  }

  /** Its turns: with the aid first, then without it, where that is asked. */
  get turns(): Pick<Shapes['ComparisonIn'], 'each' | 'run' | 'question' | 'order'> {
    const { each, run, question, order } = this
    return { each, run, question, order: this.kind === 'transfer' ? 'in_order' : order }
  }
}
