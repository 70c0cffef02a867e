/** A quick check while it is made: eyes, one square check, five directions. */
import type { Sent } from '$lib/data/letter'
import type { Look } from '$lib/see/looks'
import type { Place } from '$lib/see/place'

export type Step = 'none' | 'eyes' | 'square' | 'directions' | 'done'
export const DIRECTIONS = 5

export class QuickCheck {
  id = $state('')
  startedAt = $state('')
  lead = $state.raw<Place | null>(null)
  trail = $state.raw<Place | null>(null)
  gap_m = $state(0)
  squared = $state(false)
  answers = $state.raw<Look[]>([])
  /** What the mirror is read with: its own level, and this golfer's eyes over it. */
  sizes = $state({ eye_height_m: 1.45, falls_in_percent: 0, falls_back_percent: 0, level_doubt_percent: 0.1 })

  get step(): Step {
    if (!this.id) return 'none'
    if (!this.lead || !this.trail) return 'eyes'
    if (!this.squared) return 'square'
    return this.answers.length < DIRECTIONS ? 'directions' : 'done'
  }
  get wanted(): 'Lead eye' | 'Trail eye' | null {
    if (this.step !== 'eyes') return null
    return this.lead ? 'Trail eye' : 'Lead eye'
  }

  begin(id: string, at: string, sizes: QuickCheck['sizes']): void {
    this.id = id
    this.sizes = sizes
    this.startedAt = at
    this.unmark()
    this.squared = false
    this.gap_m = 0
    this.answers = []
  }
  /** True when both eyes are marked with it. */
  mark(at: Place): boolean {
    if (this.lead) this.trail = at
    else this.lead = at
    return this.trail !== null
  }
  unmark(): void {
    this.lead = this.trail = null
  }
  answer(look: Look): void {
    this.answers = [...this.answers, look]
  }
  /** Take the last step back. */
  undo(): void {
    if (this.answers.length) this.answers = this.answers.slice(0, -1)
    else if (this.squared) this.squared = false
    else this.unmark()
  }

  /** All of it so far: every step says the whole, so that a quick thumb is never ahead of what is kept. */
  told(lesson_id: string, card_id: string): Sent<'/api/quick-checks/{id}'> {
    const both = this.lead && this.trail
    return {
      lesson_id,
      card_id,
      lead: both ? this.lead : null,
      trail: both ? this.trail : null,
      ...this.sizes,
      square_m: this.squared ? this.gap_m : null,
      answers: this.answers,
      taken_at: this.startedAt
    }
  }
}
