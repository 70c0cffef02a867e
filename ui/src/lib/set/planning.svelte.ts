/** A station while it is planned: what is chosen, what a proposal or a remedy lays, and what pulling a tape changes. */
import { rulerFor, stepOn, withUnit } from '$lib/base/length'
import { settings } from '$lib/base/settings.svelte'
import type { Shapes } from '$lib/data/client'
import { entry } from '$lib/data/vocabulary.svelte'
import type { Grip } from '$lib/drawing/Grips.svelte'
import { FIRST, planOf, type Plan } from './plan'

export type Tab = 'putt' | 'rig' | 'beside' | 'proof' | 'print'

/** The tab on which an entry stands. */
export function tabOf(field: string): Tab {
  if (field.startsWith('aids') || field === 'backstroke_m') return 'beside'
  if (field.startsWith('rig') || field === 'across_m') return 'rig'
  return field.startsWith('proof') ? 'proof' : 'putt'
}

const tapeSaid = (high: number) => (metres: number) => withUnit(metres, rulerFor(high, settings.units))

export class Planning {
  plan = $state<Plan | null>(null)
  tab = $state<Tab>('putt')

  /** The last station of a lesson, or a first putt that suits most floors. */
  begin(last: Plan | undefined, green_speed_ft: number): void {
    this.plan = structuredClone(last ? planOf(last) : { ...FIRST, green_speed_ft })
  }
  /** Lay what would do. */
  apply(it: Shapes['RemedyWords']): void {
    const { plan } = this
    if (!plan) return
    if (it.name === 'across_m') plan.across_m = it.value
    else plan.rig_sizes_m = { ...plan.rig_sizes_m, [it.name]: it.value }
  }
  /** Lay what was proposed: as the rig that watches, or beside it. */
  take(it: Pick<Shapes['ProposalOut'], 'kind' | 'sizes' | 'watches'>): void {
    const { plan } = this
    if (!plan) return
    if (it.watches) {
      plan.rig_kind = it.kind
      plan.rig_sizes_m = it.sizes
      this.tab = 'rig'
    } else {
      plan.aids = [...plan.aids.filter((aid) => aid.kind !== it.kind), { kind: it.kind, sizes: it.sizes }]
      this.tab = 'beside'
    }
  }

  /** What pulling a tape changes: the putt's own length, the rig (`whose` 0), or what lies beside it. */
  grip(of: string, whose: number, known: readonly Shapes['InstrumentOut'][]): Grip | null {
    const { plan } = this
    if (!plan) return null
    if (of === 'putt') {
      const { label, low, high } = entry('distance_m')
      const step = stepOn(rulerFor(high, settings.units), 0.05)
      return { label, value: plan.distance_m, low, high, step, said: tapeSaid(high), pull: (to) => (plan.distance_m = to) }
    }
    const aid = plan.aids[whose - 1]
    const laid = whose ? aid : { kind: plan.rig_kind, sizes: plan.rig_sizes_m }
    const it = known.find((other) => other.about.kind === laid?.kind)?.dimensions.find((size) => size.name === of)
    if (!laid || !it) return null
    return {
      label: it.label,
      value: laid.sizes[of] ?? it.default,
      low: it.low,
      high: it.high,
      step: it.high > 0.6 ? 0.01 : stepOn(rulerFor(it.high, settings.units), 0.001),
      said: tapeSaid(it.high),
      pull: (to) => {
        const now = plan.aids[whose - 1]
        if (now) now.sizes = { ...now.sizes, [of]: to }
        else plan.rig_sizes_m = { ...plan.rig_sizes_m, [of]: to }
      },
    }
  }
}
