/** What Set has the server keep. */
import { v7 } from 'uuid'
import { every, inUnits, key } from '$lib/data/key'
import { blankOf, inTheseUnits, knownAs } from '$lib/away/standing'
import { cache, ofLesson } from '$lib/data/cache'
import type { Shapes } from '$lib/data/client'
import { stamp } from '$lib/data/clock'
import { path, pathInUnits, put, remove, type Sent } from '$lib/data/letter'
import { outbox } from '$lib/data/outbox.svelte'
import { planOf, type Plan } from './plan'
import type { ToKeep } from './planning.svelte'

const plansThing = (lesson: string) => `plans ${lesson}`
/** What is read goes by the plan: its sizes, its putt. */
const ofPlan = (lesson: string) => [...ofLesson(lesson), key.aim(lesson), key.eyes(lesson), key.sights(lesson)]
/** What is told otherwise once what was read on a plan is read anew. */
const readAnew = (lesson: string) => [
  ...ofPlan(lesson),
  every(key.map),
  every(key.read),
  every(key.compared),
  every(key.further),
  key.preview(lesson)
]
/** A plan of a lesson, as it is edited: it is the lesson's plan from now on, or one more beside that. */
export const keepPlan = (
  lesson_id: string,
  { id, replaces_id, plan, seen }: ToKeep,
  current = true,
  golfer: Pick<Shapes['GolferBrief'], 'id' | 'name' | 'hand'> | undefined = golferIn(lesson_id)
) =>
  put(
    '/api/stations/{id}',
    { ...pathInUnits(id), body: { ...plan, replaces_id, current, lesson_id, laid_at: stamp(), seen } },
    {
      thing: plansThing(lesson_id),
      words: 'The plan',
      whole: true,
      renews: ofPlan(lesson_id),
      stands: golfer
        ? {
            blank: blankOf('plan', {}, { hand: golfer.hand, plan: planOf(plan) }),
            marks: { golfer: golfer.id, name: golfer.name, lesson: lesson_id, station: id },
            of: id,
            more: { current }
          }
        : null
    }
  )

const golferIn = (lesson: string) => cache.getQueryData<Shapes['LessonSheetOut']>(inUnits(key.lesson(lesson)))?.golfer

type Told = Sent<'/api/stations/{id}'> & Sent<'/api/lessons/{id}/plan'>
/** The plan a lesson was last told to go on with, where the server has not answered yet; null: what it tells is so. */
export function planOnItsWay(lesson: string): { id: string; plan: ToKeep | null } | null {
  const told = ({ body }: { body: unknown }) => body as Partial<Told>
  const last = outbox.of(plansThing(lesson)).findLast((it) => told(it).station_id ?? told(it).current)
  if (!last) return null
  const { station_id, replaces_id = null, seen = [], ...plan } = told(last)
  if (station_id) return { id: station_id, plan: null }
  const id = /stations\/([^/?]+)/.exec(last.path)?.[1] ?? ''
  return { id, plan: { id, replaces_id, plan: planOf(plan as Plan), seen: seen as Plan[] } }
}

/** Go on with another plan of the lesson. */
export const pickPlan = (lesson: string, station_id: string) =>
  put(
    '/api/lessons/{id}/plan',
    { ...path(lesson), body: { station_id } },
    {
      thing: plansThing(lesson),
      words: 'The plan',
      renews: ofPlan(lesson)
    }
  )

/** The proof of a plan's line: what was read on it is judged again. */
export const provePlan = (lesson: string, id: string, body: Sent<'/api/stations/{id}/proof'>) =>
  put(
    '/api/stations/{id}/proof',
    { ...pathInUnits(id), body },
    {
      thing: plansThing(lesson),
      words: 'The proof of the line',
      renews: readAnew(lesson)
    }
  )

/** Sizes put right after something was read with them: of a plan, of a series of set-downs, of looks. */
export const putRight = (lesson: string, id: string, body: Sent<'/api/corrections/{id}'>) =>
  put(
    '/api/corrections/{id}',
    { ...pathInUnits(id), body },
    {
      thing: plansThing(lesson),
      words: 'A size put right',
      renews: [...readAnew(lesson), key.summary(lesson), every(key.writtenDown)]
    }
  )

/** The laser's cautions are read in this lesson. */
export const readCautions = (lesson: string) =>
  put(
    '/api/lessons/{id}/laser-cautions',
    { ...path(lesson) },
    {
      thing: `cautions ${lesson}`,
      words: 'The laser’s cautions',
      renews: ofLesson(lesson),
      stands: knownAs(lesson, { laser_read_at: stamp() }, inTheseUnits(`/api/lessons/${lesson}`))
    }
  )

export const kitThing = (lesson: string) => `kit ${lesson}`
export const tickKit = (lesson: string, ticked: string[]) =>
  put(
    '/api/lessons/{id}/kit',
    { ...path(lesson), body: { ticked } },
    {
      thing: kitThing(lesson),
      words: 'The kit check',
      whole: true,
      renews: [key.lesson(lesson)]
    }
  )

const saved = (id: string, words: string) => ({ thing: `saved ${id}`, words, renews: [key.saved()] })
/** Keep a plan under a name. */
export const saveStation = (id: string, name: string, plan: Plan) =>
  put(
    '/api/saved-stations/{id}',
    { ...pathInUnits(id), body: { ...planOf(plan), name } },
    saved(id, `The station “${name}”`)
  )
export const putAwayStation = (id: string) =>
  remove('/api/saved-stations/{id}', { ...pathInUnits(id) }, saved(id, 'Putting a station away'))
export const bringStationBack = (id: string) =>
  put('/api/saved-stations/{id}/back', { ...pathInUnits(id) }, saved(id, 'Bringing a station back'))

export const BAG = 'bag'
/** What is in the coach's bag: all of it. */
export const tellBag = (parts: Record<string, number>) =>
  put(
    '/api/bag',
    { body: { parts } },
    { thing: BAG, words: 'The bag', whole: true, answers: key.bag(), renews: [every(key.preview), key.proposals()] }
  )
export const forgetBag = () =>
  remove(
    '/api/bag',
    {},
    { thing: BAG, words: 'Forgetting the bag', answers: key.bag(), renews: [every(key.preview), key.proposals()] }
  )

/** Which spread suits which level: those the coach sees otherwise. */
export const setBands = (spreads_deg: Record<string, number>) =>
  put(
    '/api/bands',
    { body: { spreads_deg } },
    { thing: 'bands', words: 'How strict for whom', whole: true, answers: key.bands() }
  )

const ofTools = (lesson: string) => ({
  thing: `tools ${lesson}`,
  answers: inUnits(key.tools(lesson)),
  renews: readAnew(lesson)
})
/** A check of an instrument by itself: what is read with it in the lesson is judged by it, before and after. */
export const keepToolCheck = (body: Sent<'/api/tool-checks/{id}'>) =>
  put(
    '/api/tool-checks/{id}',
    { ...pathInUnits(v7()), body },
    { ...ofTools(body.lesson_id), words: 'The check of the instrument' }
  )
export const voidToolCheck = (lesson: string, id: string) =>
  put(
    '/api/tool-checks/{id}/voided',
    { ...pathInUnits(id), body: { voided: true } },
    { ...ofTools(lesson), words: 'Dropping the check' }
  )
