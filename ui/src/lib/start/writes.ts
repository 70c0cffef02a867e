/** What Start has the server keep: blocks, their putts, pauses, sensors and the strokes these told. */
import { v7 } from 'uuid'
import { blankOf, type Stands } from '$lib/away/standing'
import type { Shapes } from '$lib/data/client'
import { ofLesson } from '$lib/data/cache'
import { stamp } from '$lib/data/clock'
import { every, key } from '$lib/data/key'
import { path, put, remove, type Sent } from '$lib/data/letter'
import { isUsual } from './comparing.svelte'

export const startBlock = (lesson: string, body: Sent<'/api/blocks/{id}'>, noted: Shapes['NoteOut'][]) => {
  const id = v7()
  return put(
    '/api/blocks/{id}',
    { ...path(id), body },
    {
      thing: id,
      words: `The block “${body.condition}”`,
      renews: ofLesson(lesson),
      stands: {
        blank: blankOf('block', { station: body.station_id }),
        marks: { block: id },
        of: id,
        more: { noted: noted.filter((it) => body.asks?.includes(it.note)), first_planned: body.planned }
      }
    }
  )
}

/** The next rung of the ladder: its rig laid, its block begun. */
export const startRung = (lesson: string, body: Sent<'/api/rungs/{id}'>) => {
  const id = v7()
  return put('/api/rungs/{id}', { ...path(id), body }, { thing: id, words: 'The next rung', renews: ofLesson(lesson) })
}

/** The next golfer at the same station, in a lesson of their own. */
export const startNext = (body: Sent<'/api/turns/{id}'>) => {
  const id = v7()
  return put(
    '/api/turns/{id}',
    { ...path(id), body },
    { thing: id, words: 'The next golfer’s block', now: true, renews: [every(key.today), every(key.golfers)] }
  )
}

/** `noted`: what can be noted of a putt, for the blocks of its two ways where they are begun without a network. */
export const startComparison = (body: Sent<'/api/comparisons/{id}'>, noted: Shapes['NoteOut'][] = []) => {
  const id = v7()
  return put(
    '/api/comparisons/{id}',
    { ...path(id), body },
    {
      thing: id,
      words: 'The comparison',
      renews: ofLesson(body.lesson_id),
      stands: standsOf(id, body, noted)
    }
  )
}

/** How two ways in their usual turns stand where no server tells; nothing of any other comparison. */
function standsOf(id: string, body: Sent<'/api/comparisons/{id}'>, noted: Shapes['NoteOut'][]): Stands | null {
  const [first, second] = body.conditions
  if (!first?.block_id || !second?.block_id || !isUsual(body)) return null
  const asks = body.asks ?? []
  const block = ({ name, guided = false, factors = {} }: typeof first) => ({
    condition: name,
    guided,
    factors,
    asks,
    noted: noted.filter((it) => asks.includes(it.note))
  })
  return {
    blank: blankOf('comparison', { station: first.station_id }),
    marks: {
      comparison: id,
      first: first.block_id,
      second: second.block_id,
      'first name': first.name,
      'second name': second.name
    },
    of: id,
    also: { [first.block_id]: block(first), [second.block_id]: block(second) }
  }
}

/** How many putts a block is to have. */
export const planBlock = (lesson: string, block: string, planned: number) =>
  put(
    '/api/blocks/{id}/plan',
    { ...path(block), body: { planned } },
    { thing: block, words: 'More putts', renews: ofLesson(lesson) }
  )

/** What a block is called, and in what it was not as usual. */
export const sayHow = (lesson: string, block: string, body: Sent<'/api/blocks/{id}/how'>) =>
  put(
    '/api/blocks/{id}/how',
    { ...path(block), body },
    { thing: `${block} how`, words: 'What the block is called', whole: true, renews: ofLesson(lesson) }
  )

/** What disturbed a block and how it felt. */
export const tellCircumstances = (lesson: string, block: string, body: Sent<'/api/blocks/{id}/circumstances'>) =>
  put(
    '/api/blocks/{id}/circumstances',
    { ...path(block), body },
    {
      thing: `${block} circumstances`,
      words: 'What disturbed the block',
      whole: true,
      renews: ofLesson(lesson)
    }
  )

/** A putt, shown as `shown` until the server says it. */
export const recordPutt = (shown: Shapes['ReadingLine'], body: Sent<'/api/readings/{id}'>) =>
  put(
    '/api/readings/{id}',
    { ...path(shown.id), body },
    {
      thing: body.block_id,
      words: `Putt ${shown.words}`,
      reading: { block: body.block_id, id: shown.id, shown }
    }
  )

export const voidPutt = (block: string, id: string, reason: string) =>
  put(
    '/api/readings/{id}/voided',
    { ...path(id), body: { voided: true, reason } },
    { thing: block, words: 'Voiding a putt', reading: { block, id, shown: null } }
  )

export const restorePutt = (block: string, id: string) =>
  put(
    '/api/readings/{id}/voided',
    { ...path(id), body: { voided: false, reason: '' } },
    { thing: block, words: 'Restoring a putt', reading: { block, id, shown: null } }
  )

/** What lowers the weight of a putt. */
export const flagPutt = (lesson: string, putt: Pick<Shapes['ReadingLine'], 'id' | 'block_id'>, flags: string[]) =>
  put(
    '/api/readings/{id}/flags',
    { ...path(putt.id), body: { flags } },
    { thing: putt.block_id, words: 'What is said of a putt', renews: ofLesson(lesson) }
  )

/** What the golfer did of what was due. */
export const breakOff = (lesson: string, done: 'moved' | 'rested') =>
  put(
    '/api/lessons/{id}/pauses',
    { ...path(lesson), body: { done } },
    { thing: `pauses ${lesson}`, words: 'The pause', renews: [key.pauses(lesson)] }
  )

export const PAUSES = 'pauses'
/** When to break off, in every lesson from now on. */
export const setPauses = (body: Sent<'/api/pauses'>) =>
  put('/api/pauses', { body }, { thing: PAUSES, words: 'When to break off', whole: true, renews: [every(key.pauses)] })

// What a device is told or asked counts at this moment alone: it is given up where nobody answers.
const ofSensor = (lesson: string, id: string, words: string) => ({
  thing: `sensor ${id}`,
  words,
  now: true,
  renews: [key.sensors(lesson), key.standins()]
})

export const pairSensor = (id: string, body: Sent<'/api/sensors/{id}'>) =>
  put('/api/sensors/{id}', { ...path(id), body }, ofSensor(body.lesson_id, id, 'Pairing a sensor'))
export const zeroSensor = (lesson: string, sensor: string) =>
  put(
    '/api/sensor-zeros/{id}',
    { ...path(v7()), body: { sensor_id: sensor } },
    ofSensor(lesson, sensor, 'Zeroing a sensor')
  )
/** A tap at the moment of a stroke: its device's clock is known by it. */
export const tapStroke = (lesson: string, sensor: string) =>
  put(
    '/api/stroke-taps/{id}',
    { ...path(v7()), body: { sensor_id: sensor, tapped_at: stamp() } },
    ofSensor(lesson, sensor, 'The tap at a stroke')
  )
export const unpairSensor = (lesson: string, id: string) =>
  remove('/api/sensors/{id}/link', path(id), ofSensor(lesson, id, 'Unpairing a sensor'))
export const useSensorIn = (lesson: string, id: string) =>
  put(
    '/api/sensors/{id}/lesson',
    { ...path(id), body: { lesson_id: lesson } },
    ofSensor(lesson, id, 'Using a sensor here')
  )
export const startStandin = (lesson: string, id: string, body: Sent<'/api/standins/{id}'>) =>
  put('/api/standins/{id}', { ...path(id), body }, ofSensor(lesson, id, 'Starting a stand-in'))
export const stopStandin = (lesson: string, id: string) =>
  remove('/api/standins/{id}', path(id), ofSensor(lesson, id, 'Stopping a stand-in'))

/** Which putt a stroke belongs to. */
export const placeStroke = (lesson: string, id: string, body: Sent<'/api/strokes/{id}/putt'>) =>
  put(
    '/api/strokes/{id}/putt',
    { ...path(id), body },
    {
      thing: `stroke ${id}`,
      words: 'The putt of a stroke',
      whole: true,
      renews: [key.sensors(lesson), every(key.read)]
    }
  )
