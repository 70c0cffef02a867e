/** A comparison while it is planned: what is set against what, and how many putts each in which turns. */
import type { Shapes } from '$lib/data/client'
import { FOOT_M } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'
import { planOf, type Plan } from '$lib/set/plan'
import { choices } from '$lib/data/vocabulary.svelte'
import { USUAL, type Under } from './under'

/** What varies, as it is asked first: what sits beside the ways in the ledger, by its code. */
export type Varies = 'set_up' | 'cue' | 'kit' | 'routine' | 'guide' | 'length' | 'hole_side' | 'trial'
type Kind = 'conditions' | 'distances' | 'transfer'
const OTHER_SIDE: Under = { name: 'other side of the hole', factors: { hole_side: 'other' } }
const MOST_CONDITIONS = 5
const FEWEST_CONDITIONS = 2
/** Lengths that near are one. */
const SAME_M = 0.005
type Turns = Required<Pick<Shapes['ComparisonIn'], 'each' | 'run' | 'question' | 'order'>>
/** As a comparison is planned where nobody says otherwise; in these turns two ways are begun without a network, too. */
const AS_USUAL: Turns = { each: 9, run: 3, order: 'alternating', question: 'line' }

/** A condition to be putted: on the station that stands, or on one that is laid for it. */
export interface Condition extends Under {
  guided: boolean
  lay: Plan | null
}

export class Comparing {
  varies = $state<Varies>('set_up')
  under = $state<Under[]>([USUAL, { name: 'wide base', factors: { set_up: 'wide base' } }])
  distances_m = $state<number[]>([])
  each = $state(AS_USUAL.each)
  run = $state(AS_USUAL.run)
  order = $state(AS_USUAL.order)
  question = $state(AS_USUAL.question)

  /** `offered`: under what may be putted, as usual first: against it the next one is set. */
  constructor(
    distance_m: number,
    private offered: readonly Under[] = []
  ) {
    const other = offered.find((it) => it.name)
    if (other) {
      this.under = [USUAL, other]
      this.varies = (Object.keys(other.factors)[0] as Varies | undefined) ?? 'set_up'
    }
    // The first three are near what is laid, as far apart as is round in the units in use; the coach changes them.
    const [nearer, further] = settings.units === 'metric' ? [1, 1.5] : [3 * FOOT_M, 5 * FOOT_M]
    this.distances_m = [distance_m - nearer, distance_m, distance_m + further].map((it) => Math.max(1.2, it))
  }

  get kind(): Kind {
    return this.varies === 'length' ? 'distances' : this.varies === 'guide' ? 'transfer' : 'conditions'
  }
  /** Something else varies: the first way of it that is offered stands against as usual. */
  vary(what: Varies): void {
    this.varies = what
    if (this.kind === 'conditions') this.under = [USUAL, this.ways.find((it) => it.name) ?? USUAL]
  }
  /** The ways in which that can be: cues by their own names, what was done before, and what is typed. */
  get ways(): Under[] {
    if (this.varies === 'cue')
      return [
        USUAL,
        ...choices<string>('cue')
          .filter((it) => it.value !== 'line')
          .map((it) => ({ name: it.words, factors: { cue: it.value } }))
      ]
    if (this.varies === 'hole_side') return [USUAL, OTHER_SIDE]
    return this.offered.filter((it) => !it.name || this.varies in it.factors)
  }
  /** Whether a way of it can be typed: cues and sides are named. */
  get typed(): boolean {
    return this.varies !== 'cue' && this.varies !== 'hole_side'
  }
  /** All in which the ways differ: of more than one nobody can say which did it. */
  get differIn(): string[] {
    const names = [...new Set(this.under.flatMap((it) => Object.keys(it.factors)))]
    return names.filter((name) => new Set(this.under.map((it) => it.factors[name] ?? '')).size > 1)
  }

  more(): void {
    if (this.under.length < MOST_CONDITIONS) this.under = [...this.under, USUAL]
  }
  fewer(): void {
    if (this.under.length > FEWEST_CONDITIONS) this.under = this.under.slice(0, -1)
  }
  get grows(): boolean {
    return this.under.length < MOST_CONDITIONS
  }
  get shrinks(): boolean {
    return this.under.length > FEWEST_CONDITIONS
  }

  /** What is to be putted, first to last; `length` names a distance in the coach's units. */
  conditions(station: Plan, guided: boolean, length: (m: number) => string): Condition[] {
    if (this.kind === 'conditions')
      return this.under.map(({ name, factors }) => ({
        name: name || 'as usual',
        factors: { ...factors },
        guided,
        lay: null
      }))
    const changed = (change: Partial<Plan>): Plan => ({ ...planOf(station), ...change })
    if (this.kind === 'distances')
      return this.distances_m.map((distance_m) => ({
        name: length(distance_m),
        factors: {},
        guided,
        lay: Math.abs(distance_m - station.distance_m) < SAME_M ? null : changed({ distance_m })
      }))
    const flip: Partial<Plan> = station.falls_right_percent
      ? { falls_right_percent: -station.falls_right_percent, read: null, target: 'computed' }
      : {}
    return [
      { name: 'with the aid', factors: {}, guided: true, lay: null },
      { name: 'without it', factors: {}, guided: false, lay: station.aids.length ? changed({ aids: [] }) : null },
      {
        name: 'other side of the hole',
        factors: { hole_side: 'other' },
        guided: false,
        lay: changed({ aids: [], ...flip })
      }
    ]
  }

  /** Without a network: two ways on the station that stands, as many putts and in the turns for which the server was asked. */
  asUsual(): void {
    if (this.kind !== 'conditions') this.vary('set_up')
    this.under = this.under.slice(0, FEWEST_CONDITIONS)
    Object.assign(this, AS_USUAL)
  }

  /** Two ways of one name: the server would refuse them. */
  get alike(): boolean {
    if (this.kind !== 'conditions') return false
    return new Set(this.under.map((it) => it.name || 'as usual')).size < this.under.length
  }

  /** Its turns: with the aid first, then without it, where that is asked. */
  get turns(): Turns {
    const { each, run, question, order } = this
    return { each, run, question, order: this.kind === 'transfer' ? 'in_order' : order }
  }
}

/** Whether it is two ways on one station in the usual turns: only of those the server said before how they stand. */
export function isUsual({ conditions, ...body }: Shapes['ComparisonIn']): boolean {
  const names = Object.keys(AS_USUAL) as (keyof Turns)[]
  const [first, second] = conditions
  return (
    conditions.length === FEWEST_CONDITIONS &&
    first?.station_id === second?.station_id &&
    names.every((it) => body[it] === AS_USUAL[it])
  )
}
