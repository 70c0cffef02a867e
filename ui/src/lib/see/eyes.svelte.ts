/** A look at the eyes while it is made: what is marked so far, and how it is read. */
import type { Shapes } from '$lib/data/client'
import type { Sent } from '$lib/data/letter'
import type { Place } from './place'

export type Way = 'mirror' | 'plumb' | 'string' | 'strip'
export type Strip = Shapes['StripLookIn']['device']
type Take = Shapes['EyeTakeOut']

export class EyesLook {
  lead = $state<Place | null>(null)
  trail = $state<Place | null>(null)
  nose = $state<Place | null>(null)
  /** The nose is marked too. */
  noseToo = $state(false)
  /** The shoulders' line in the mirror, degrees right of its lines; null while nobody looked. */
  shoulders_deg = $state<number | null>(null)
  way = $state<Way>('mirror')
  /** One way alone is told, inside or behind; else both eyes are marked. */
  one_way = $state(false)
  /** It reads the last look once more, nothing moved. */
  rereading = $state(false)
  level = $state({ falls_in_percent: 0, falls_back_percent: 0, level_doubt_percent: 0.1 })
  eye_height_m = $state(1.45)
  seen_m = $state(0.005)
  /** The string as it is laid. */
  string = $state({ string_height_m: 0.2, lean_deg: 0 })
  /** The strip as it is laid; without one in the plan, the one that was told last. */
  strip = $state<{ device: Strip | null; turns_m: number }>({ device: null, turns_m: 0.015 })
  /** How the golfer stands: looks of one set-up are never counted with those of another. */
  set_up = $state('')

  #told = ''

  /** As it was laid, and as it was looked last; what is laid otherwise since is taken over, what was chosen here stays. */
  begin({ sizes, set_up }: Pick<Shapes['EyesSheetOut'], 'sizes' | 'set_up'>): void {
    this.set_up ||= set_up
    if (this.#told === JSON.stringify(sizes)) return
    this.#told = JSON.stringify(sizes)
    const {
      falls_in_percent,
      falls_back_percent,
      level_doubt_percent,
      eye_height_m,
      seen_m,
      string_height_m,
      lean_deg,
      strip,
      turns_m
    } = sizes
    this.level = { falls_in_percent, falls_back_percent, level_doubt_percent }
    this.eye_height_m = eye_height_m
    this.seen_m = seen_m
    this.string = { string_height_m, lean_deg }
    this.strip = { device: strip ?? this.strip.device, turns_m }
  }

  /** The eye to be marked next; null when both are. */
  get wanted(): 'Lead eye' | 'Trail eye' | 'Nose' | null {
    if (!this.lead) return 'Lead eye'
    if (!this.trail) return 'Trail eye'
    return this.noseToo && !this.nose ? 'Nose' : null
  }
  mark(at: Place): void {
    if (!this.lead) this.lead = at
    else if (this.trail && this.noseToo) this.nose = at
    else this.trail = at
  }
  again(): void {
    this.lead = this.trail = this.nose = this.shoulders_deg = null
  }

  /** The look to keep; null while an eye is not marked, or where a look tells the side only. */
  told(lesson_id: string, takes: readonly Take[], taken_at: string): Sent<'/api/eye-takes/{id}'> | null {
    const { lead, trail, way } = this
    if (!lead || !trail || way === 'string' || way === 'strip') return null
    const reread_of = this.rereading ? (rereadable(takes.filter((it) => it.set_up === this.set_up))?.id ?? null) : null
    const { level, eye_height_m, seen_m, set_up, shoulders_deg } = this
    const nose = this.noseToo && this.nose ? { ...this.nose } : null
    return {
      lesson_id,
      lead: { ...lead },
      trail: { ...trail },
      way,
      reread_of,
      nose,
      shoulders_deg,
      ...level,
      eye_height_m,
      seen_m,
      set_up,
      station_id: null,
      taken_at
    }
  }
}

/** What can be read again: the newest look that was not itself a second reading. */
export function rereadable(takes: readonly Take[]): Take | undefined {
  return takes.findLast((it) => !it.voided && it.inside_m !== null && !it.reread_of)
}
