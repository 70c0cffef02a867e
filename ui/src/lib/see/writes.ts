/** What See has the server keep. */
import { v7 } from 'uuid'
import { inUnits, key } from '$lib/data/key'
import { path, pathInUnits, put, remove, type Sent } from '$lib/data/letter'
import { outbox } from '$lib/data/outbox.svelte'

export const eyesThing = (lesson: string) => `eyes ${lesson}`
const eyesOf = (lesson: string) => ({
  thing: eyesThing(lesson),
  answers: inUnits(key.eyes(lesson)),
  renews: [key.map(lesson), key.lesson(lesson)]
})

/** A look at the eyes: both marked on the mirror or by plumb. */
export const keepTake = (body: Sent<'/api/eye-takes/{id}'>) =>
  put(
    '/api/eye-takes/{id}',
    { ...pathInUnits(v7()), body },
    { ...eyesOf(body.lesson_id), words: 'The look at the eyes' }
  )

/** A look that tells the side only, by a string or a strip, or one way alone. */
export const keepLook = (body: Sent<'/api/eye-looks/{id}'>) =>
  put(
    '/api/eye-looks/{id}',
    { ...pathInUnits(v7()), body },
    { ...eyesOf(body.lesson_id), words: 'The look at the eyes' }
  )

export const voidTake = (lesson: string, it: { id: string; voided: boolean }) =>
  put(
    '/api/eye-takes/{id}/voided',
    { ...pathInUnits(it.id), body: { voided: it.voided } },
    {
      ...eyesOf(lesson),
      words: it.voided ? 'Voiding a look at the eyes' : 'Restoring a look at the eyes'
    }
  )

/** Where a golfer's eyes are wanted, and which one sights. */
export const wantEyes = (lesson: string, golfer: string, body: Sent<'/api/golfers/{id}/eyes'>) =>
  put(
    '/api/golfers/{id}/eyes',
    { params: { path: { id: golfer } }, body },
    {
      thing: `eyes wanted ${golfer}`,
      words: 'Where the eyes are wanted',
      whole: true,
      renews: [key.eyes(lesson)]
    }
  )

// What an answer leaves to be asked stands among the tests; beginning and ending one shows in the run sheet too.
const sightOf = (lesson: string, test: string, words: string) => ({
  thing: `sight ${test}`,
  words,
  renews: [key.sights(lesson)]
})
const whole = (lesson: string, test: string, words: string) => ({
  thing: `sight ${test}`,
  words,
  renews: [key.sights(lesson), key.lesson(lesson), key.map(lesson)]
})

export const beginTest = (body: Sent<'/api/sight-tests/{id}'>) => {
  const id = v7()
  return put(
    '/api/sight-tests/{id}',
    { ...pathInUnits(id), body },
    whole(body.lesson_id, id, 'The test of what looks straight')
  )
}

export const answerTest = (lesson: string, body: Sent<'/api/sight-trials/{id}'>) =>
  put('/api/sight-trials/{id}', { ...pathInUnits(v7()), body }, sightOf(lesson, body.test_id, 'The golfer’s answer'))

export const undoAnswer = (lesson: string, test: string, trial: string) =>
  put(
    '/api/sight-trials/{id}/voided',
    { ...pathInUnits(trial), body: { voided: true } },
    sightOf(lesson, test, 'Undoing the last answer')
  )

/** What lowers the weight of an answer. */
export const flagAnswer = (lesson: string, test: string, trial: string, flags: string[]) =>
  put(
    '/api/sight-trials/{id}/flags',
    { ...pathInUnits(trial), body: { flags } },
    sightOf(lesson, test, 'What is said of an answer')
  )

/** End the asking and show what the answers say. */
export const showTest = (lesson: string, test: string) =>
  put('/api/sight-tests/{id}/shown', { ...pathInUnits(test) }, whole(lesson, test, 'Showing what the answers say'))

/** Hide what it said and go on asking. */
export const askOn = (lesson: string, test: string) =>
  remove('/api/sight-tests/{id}/shown', { ...pathInUnits(test) }, whole(lesson, test, 'Going on with the test'))

export const feltThing = (test: string) => `felt ${test}`
/** How the golfer found the position of a test. */
export const feltThere = (lesson: string, test: string, body: Sent<'/api/sight-tests/{id}/felt'>) =>
  put(
    '/api/sight-tests/{id}/felt',
    { ...pathInUnits(test), body },
    {
      thing: feltThing(test),
      words: 'How the position was felt',
      whole: true,
      renews: [key.sights(lesson), key.map(lesson)]
    }
  )

/** A set-up the golfer goes by from now on. */
export const keepCard = (golfer: string, body: Sent<'/api/set-up-cards/{id}'>) =>
  put(
    '/api/set-up-cards/{id}',
    { ...pathInUnits(v7()), body },
    { thing: `cards ${golfer}`, words: 'The set-up card', renews: [key.cards(golfer)] }
  )

const firstThing = (lesson: string) => `first looks ${lesson}`
/** First looks as they were told here and the server has not said yet; null: taken back. The newest of each last. */
export const firstLooksOnTheirWay = (lesson: string): { id: string; told: Sent<'/api/first-looks/{id}'> | null }[] =>
  outbox.of(firstThing(lesson)).map(({ path, body }) => ({
    id: /first-looks\/([^/?]+)/.exec(path)?.[1] ?? '',
    told: path.includes('/voided') ? null : (body as Sent<'/api/first-looks/{id}'>)
  }))
const ofFirst = (lesson: string) => ({
  thing: firstThing(lesson),
  answers: key.firstLooks(lesson),
  renews: [key.lesson(lesson)]
})
/** How a true rod looks from a place; said again, whether it can be played from there. */
export const keepFirstLook = ({ id, ...body }: Sent<'/api/first-looks/{id}'> & { id: string }) =>
  put('/api/first-looks/{id}', { ...path(id), body }, { ...ofFirst(body.lesson_id), words: 'The first look' })
export const voidFirstLook = (lesson: string, it: { id: string; voided: boolean }) =>
  put(
    '/api/first-looks/{id}/voided',
    { ...path(it.id), body: { voided: it.voided } },
    { ...ofFirst(lesson), words: 'Voiding a first look' }
  )
/** A test left before it told anything counts nowhere; it can be taken up again. */
export const leaveTest = (lesson: string, id: string, left: boolean) =>
  put(
    '/api/sight-tests/{id}/left',
    { ...pathInUnits(id), body: { left } },
    whole(lesson, id, left ? 'Leaving the test' : 'Taking the test up again')
  )
