/**
 * A station while it is planned: what is chosen, what a proposal or a remedy lays, what pulling a tape changes, and which
 * plan of the lesson it is. A plan on which something was read stands as it was: what is changed then is a new one, which
 * takes its place.
 */
import { v7 } from 'uuid'
import { rulerFor, stepOn, withUnit } from '$lib/base/length'
import { hundredths } from '$lib/base/number'
import { settings } from '$lib/base/settings.svelte'
import type { Shapes } from '$lib/data/client'
import { entry } from '$lib/data/vocabulary.svelte'
import type { Grip } from '$lib/drawing/Grips.svelte'
import { filledFrom, FIRST, firstIn, planOf, same, type Plan } from './plan'

export const TABS = [
  { value: 'putt', words: 'Putt' },
  { value: 'rig', words: 'Rig' },
  { value: 'beside', words: 'Beside it' },
  { value: 'proof', words: 'Proof' },
  { value: 'print', words: 'Print' }
] as const
export type Tab = (typeof TABS)[number]['value']

/**
 * A plan as it is to be kept: under which id, and in whose place; `seen`: as it was when its editing began, and as it was told
 * since without an answer, so that what was changed of it elsewhere is not written over.
 */
export interface ToKeep {
  id: string
  replaces_id: string | null
  plan: Plan
  seen: Plan[]
}

/** So many tellings without an answer are remembered: the first, and the last ones. */
const MOST_SEEN = 12

/** The tab on which an entry stands. */
export function tabOf(field: string): Tab {
  if (field.startsWith('aids') || field === 'backstroke_m') return 'beside'
  if (field.startsWith('rig') || field === 'across_m') return 'rig'
  return field.startsWith('proof') ? 'proof' : 'putt'
}

const tapeSaid = (high: number) => (metres: number) => withUnit(metres, rulerFor(high, settings.units))

type Held = Pick<Shapes['SettingsOut'], 'past_m' | 'capture'>

export class Planning {
  plan = $state<Plan | null>(null)
  tab = $state<Tab>('putt')
  /** The first putt of a lesson, as the schools held would have it. */
  private first: Plan = FIRST
  /** The line is being proved: measured, or rolled both ways. */
  proving = $state(false)
  /** The plan of the lesson that this is, as it was last told to be kept; null before there is one. */
  kept = $state.raw<ToKeep | null>(null)

  /** The lesson's plan, or a first putt that suits most floors. */
  begin(now: Shapes['StationOut'] | undefined, green_speed_ft: number, held?: Held): void {
    const usual = firstIn(settings.units)
    this.first = { ...usual, past_m: held?.past_m ?? usual.past_m, capture: held?.capture ?? usual.capture }
    this.plan = structuredClone(now ? planOf(now) : { ...this.first, green_speed_ft })
    const plan = now ? structuredClone(planOf(now)) : null
    this.kept = now && plan ? { id: now.id, replaces_id: now.replaces_id, plan, seen: [plan] } : null
  }

  /** A plan that was told to be kept, and of which nothing is known yet. */
  goOn(it: ToKeep): void {
    this.plan = structuredClone(it.plan)
    this.kept = it
  }

  /**
   * What is to be kept now that the plan can be laid as `whole`; null where it is kept so already, or nothing was planned
   * yet. `stations` are the lesson's plans as the server last told them.
   */
  toKeep(whole: Plan, stations: readonly Shapes['StationOut'][]): ToKeep | null {
    const { kept } = this
    if (!kept) return { id: v7(), replaces_id: null, plan: whole, seen: [] }
    const stands = stations.find((it) => it.id === kept.id)
    // Left before its sizes were known, it was told without those that come by themselves: the server has them all.
    const full = stands ? filledFrom(kept.plan, planOf(stands)) : kept.plan
    if (same(full, filledFrom(whole, full))) return null
    return stands?.used ? { id: v7(), replaces_id: kept.id, plan: whole, seen: [] } : { ...kept, plan: whole }
  }

  /** It was told to be kept. */
  told(it: ToKeep): void {
    const seen = [...it.seen, it.plan]
    if (seen.length > MOST_SEEN) seen.splice(1, seen.length - MOST_SEEN)
    this.kept = { ...it, seen }
  }

  /** It was kept: what was seen before that is no matter any more. */
  answered({ id, plan }: ToKeep): void {
    const { kept } = this
    const at = kept?.id === id ? kept.seen.findLastIndex((it) => it === plan) : -1
    if (kept && at > 0) this.kept = { ...kept, seen: kept.seen.slice(at) }
  }

  /** The plan whose proof counts for this: itself once the server has told of it, till then the one in whose place it comes. */
  known(stations: readonly Shapes['StationOut'][]): string | null {
    const { kept } = this
    return kept && stations.some((it) => it.id === kept.id) ? kept.id : (kept?.replaces_id ?? null)
  }

  /** Whether anything was planned that is not kept yet. */
  touched(plan: Plan): boolean {
    // A plan nobody touched is none: the first putt of a lesson is offered, not laid.
    const before = this.kept?.plan ?? { ...this.first, green_speed_ft: plan.green_speed_ft }
    return !same(filledFrom(plan, before), before)
  }

  /** Lay what would do. */
  apply(it: Shapes['RemedyWords']): void {
    const { plan } = this
    if (!plan) return
    if (it.name === 'across_m') plan.across_m = it.value
    else plan.rig_sizes_m = { ...plan.rig_sizes_m, [it.name]: it.value }
  }
  /** Lay what was proposed: as the rig that watches, or beside it, with the sizes it was laid with last. */
  take(
    it: Pick<Shapes['ProposalOut'], 'kind' | 'sizes' | 'watches'>,
    laid: Shapes['LessonSheetOut']['laid_last'] = {}
  ): void {
    const { plan } = this
    if (!plan) return
    if (it.watches) {
      plan.rig_kind = it.kind
      plan.rig_sizes_m = it.sizes
      plan.across_m = 0
      this.tab = 'rig'
    } else {
      plan.aids = [
        ...plan.aids.filter((aid) => aid.kind !== it.kind),
        { kind: it.kind, sizes: { ...it.sizes, ...laid[it.kind] } }
      ]
      this.tab = 'beside'
    }
  }
  /** Turn to the proof and begin it. */
  prove(): void {
    this.tab = 'proof'
    this.proving = true
  }
  /** Lean the posts of the string that is laid. */
  lean(lean_deg: number): void {
    const { plan } = this
    if (plan)
      plan.aids = plan.aids.map((it) =>
        it.kind === 'elevated_string' ? { ...it, sizes: { ...it.sizes, lean_deg } } : it
      )
  }
  /** The ground as balls or a level told it. */
  slope(it: Shapes['Slope']): void {
    const { plan } = this
    if (!plan) return
    plan.falls_forward_percent = hundredths(it.forward_percent)
    plan.falls_right_percent = hundredths(it.right_percent)
    plan.falls_doubt_percent = hundredths(Math.max(it.forward_doubt ?? 0, it.right_doubt ?? 0))
  }

  /** What pulling a tape changes: the putt's own length, the rig (`whose` 0), or what lies beside it. */
  grip(of: string, whose: number, known: readonly Shapes['InstrumentOut'][]): Grip | null {
    const { plan } = this
    if (!plan) return null
    if (of === 'putt') {
      const { label, low, high } = entry('distance_m')
      const step = stepOn(rulerFor(high, settings.units), 0.05)
      return {
        label,
        value: plan.distance_m,
        low,
        high,
        step,
        said: tapeSaid(high),
        pull: (to) => (plan.distance_m = to)
      }
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
      }
    }
  }
}
