/** A block while it is recorded: its putts, the one being told, and whose turn it is. */
import { v7 } from 'uuid'
import { stamp } from '$lib/data/clock'
import type { Shapes } from '$lib/data/client'
import type { Draft } from '$lib/data/letter'
import type { Zone } from '$lib/drawing/zones'
import { PendingPutt, type Pending } from './pending.svelte'
import { puttsOf, validOf, type Putt } from './putts.svelte'
import { recordPutt, restorePutt, voidPutt } from './writes'

/** What a recording goes by, as the page knows it now. */
export interface Known {
  block: Shapes['BlockOut'] | undefined
  blockId: string | undefined
  /** What sensors told of the strokes so far: it is not asked again. */
  told: ReadonlySet<string>
  /** The newest putt of the comparison's other blocks: undone where it is newer than any of this block. */
  elsewhere: { block: string; id: string } | undefined
  /** The lesson has ended, or it is another block's turn. */
  closed: boolean
  post: (draft: Draft) => unknown
}

const NO_RIG = 'no_rig'
const NOT_WATCHED: Zone = {
  name: 'putted',
  raw: { start: 'not_watched' },
  key: null,
  low: null,
  high: null,
  at: 0,
  side: 'neither',
  meaning: '',
  left_mm: 0,
  right_mm: 0
}

export class Recording {
  readonly pending = new PendingPutt()
  readonly #known: () => Known

  constructor(known: () => Known) {
    this.#known = known
  }

  readonly putts: Putt[] = $derived.by(() => puttsOf(this.#known().blockId, this.#known().block?.readings ?? []))
  readonly valid: Putt[] = $derived(validOf(this.putts))
  readonly full: boolean = $derived.by(() => {
    const { block } = this.#known()
    return Boolean(block && this.valid.length >= block.planned)
  })
  /** What else this block notes: what was felt before the reading, the rest after it. */
  readonly asked: Shapes['NoteOut'][] = $derived.by(() => {
    const { block, told } = this.#known()
    return (block?.noted ?? []).filter((it) => !it.told_by.some((measure) => told.has(measure)))
  })
  readonly missing: Shapes['NoteOut'][] = $derived.by(() => this.#missing(this.pending.value))
  /** What is still to be noted of a putt, each with the half that is left of it by what was noted before. */
  #missing(value: Pending): Shapes['NoteOut'][] {
    return this.asked
      .filter((it) => !(it.note in value.notes) && (!it.after_touch || this.#touched(value)))
      .flatMap((it) => {
        const half = it.halves[String(value.notes[it.after])]
        if (half === 'none') return []
        return [half === 'low' ? { ...it, high: -it.step } : half === 'high' ? { ...it, low: it.step } : it]
      })
  }
  /** Something was touched in the putt that is being told. */
  #touched({ notes }: Pending): boolean {
    return this.asked.some((it) => it.tells_touch && notes[it.note] && notes[it.note] !== it.alone)
  }
  /** What is felt is still to be called: no reading shows before. */
  readonly feltFirst: Shapes['NoteOut'] | undefined = $derived(this.missing.find((it) => it.when === 'before'))
  /** What is to be noted next; nothing while the reading is wanted. */
  readonly noting: Shapes['NoteOut'] | undefined = $derived.by(
    () => this.feltFirst ?? (this.pending.value.zone || this.#alone ? this.missing[0] : undefined)
  )
  /** Nothing watches the start: what is noted is the putt. */
  get #alone(): boolean {
    return this.#known().block?.rig_kind === NO_RIG
  }
  readonly open: boolean = $derived.by(() => Boolean(this.#known().blockId) && !this.full && !this.#known().closed)

  note(option: string | number): void {
    if (!this.noting || !this.open) return
    this.#tell({ ...this.pending.value, notes: { ...this.pending.value.notes, [this.noting.note]: option } })
  }
  read(zone: Zone): void {
    if (this.open) this.#tell({ ...this.pending.value, zone })
  }
  /** A sensor read the start; true when it was taken for this putt. */
  heard(start_deg: number): boolean {
    if (!this.asked.length || !this.open || this.feltFirst || this.pending.value.zone) return false
    const side = start_deg === 0 ? 'neither' : start_deg < 0 ? 'left' : 'right'
    this.read({
      name: '',
      raw: { read_deg: start_deg },
      key: null,
      low: start_deg,
      high: start_deg,
      at: start_deg,
      side,
      meaning: '',
      left_mm: 0,
      right_mm: 0
    })
    return true
  }
  mark(putt: Putt | undefined, reason: string | null): void {
    const { blockId, post } = this.#known()
    if (putt && blockId) post(reason === null ? restorePutt(blockId, putt.id) : voidPutt(blockId, putt.id, reason))
  }
  undo(): void {
    if (this.pending.begun) this.pending.back((name) => this.asked.find((it) => it.note === name)?.when !== 'before')
    else {
      const { elsewhere, post } = this.#known()
      const last = this.valid.at(-1)
      // Ids sort by the time they were made.
      if (elsewhere && (!last || elsewhere.id > last.id)) post(voidPutt(elsewhere.block, elsewhere.id, 'undone'))
      else this.mark(last, 'undone')
    }
  }

  /** Keep the putt once the last of it was told; until then what was told stays on this device. */
  #tell(value: Pending): void {
    const { notes } = value
    const zone = value.zone ?? (this.#alone ? NOT_WATCHED : null)
    if (!zone || this.#missing(value).length) {
      this.pending.set(value)
      return
    }
    this.#record(zone, Object.fromEntries(Object.entries(notes).filter(([, option]) => option !== '')))
    if (this.asked.length) this.pending.clear()
  }
  #record(zone: Zone, notes: Record<string, string | number>): void {
    const { blockId, post } = this.#known()
    if (!blockId) return
    const body = { block_id: blockId, raw: zone.raw, notes, taken_at: stamp() }
    const more = {
      low_deg: zone.low,
      high_deg: zone.high,
      recorded_at: body.taken_at,
      voided: false,
      void_reason: null,
      flags: []
    }
    post(recordPutt({ ...body, ...more, id: v7(), words: zone.name, side: zone.side }, body))
  }
}
