/** What Keep has the server do with files and cards. */
import { renew } from '$lib/data/cache'
import { problemOf, Refusal } from '$lib/data/client'
import { key } from '$lib/data/key'
import { path, pathInUnits, put, remove, type Sent } from '$lib/data/letter'

const ofFile = (id: string, words: string) => ({ thing: `file ${id}`, words, renews: [key.fileProgress(id)] })

export const readFileAs = (id: string, body: Sent<'/api/imports/{id}/mapping'>) =>
  put('/api/imports/{id}/mapping', { ...path(id), body }, ofFile(id, 'How the file is read'))
export const takeFileIn = (id: string, skip_bad: boolean) =>
  put('/api/imports/{id}/putts', { ...path(id), body: { skip_bad } }, ofFile(id, 'Taking the file in'))
export const stopFile = (id: string) =>
  remove('/api/imports/{id}/work', path(id), ofFile(id, 'Stopping the work on the file'))
export const undoFile = (id: string) => put('/api/imports/{id}/undone', path(id), ofFile(id, 'Undoing the import'))
export const redoFile = (id: string) =>
  remove('/api/imports/{id}/undone', path(id), ofFile(id, 'Bringing the import back'))

/** Put a set-up card away, or bring it back. */
export const putCardAway = (golfer: string, id: string, put_away: boolean) =>
  put(
    '/api/set-up-cards/{id}/away',
    { ...path(id), body: { put_away } },
    {
      thing: `card ${id}`,
      words: put_away ? 'Putting a card away' : 'Bringing a card back',
      renews: [key.cards(golfer)]
    }
  )

const LARGEST = 64 * 1024 * 1024
/** Hand a file over; gives its id. It is no letter of the outbox: a device keeps no copies of whole files. */
export async function giveFile(golfer: string, id: string, file: File): Promise<string> {
  if (file.size > LARGEST) {
    const size = (file.size / 1024 / 1024).toFixed(0)
    throw new Refusal(
      problemOf(
        { title: 'Too large', detail: `${file.name} is ${size} MiB; at most 64 MiB are taken. Cut it in parts.` },
        413
      )
    )
  }
  const query = new URLSearchParams({ golfer_id: golfer, name: file.name.slice(0, 120) })
  const answer = await fetch(`/api/imports/${id}?${query}`, {
    method: 'PUT',
    body: file,
    headers: { 'content-type': 'text/csv' }
  })
  if (!answer.ok) throw new Refusal(problemOf(await answer.json().catch(() => null), answer.status))
  await renew(key.files(golfer))
  return id
}

const LARGEST_PHOTO = 25_000_000
export interface Photo {
  lesson_id: string
  seen_from: string
  taken_at: string
}
/** Hand a photograph over. As a file it is no letter of the outbox. */
export async function givePhoto(golfer: string, id: string, of: Photo, file: File): Promise<string> {
  if (file.size > LARGEST_PHOTO)
    throw new Refusal(problemOf({ title: 'Too large', detail: `${file.name}: at most 25 MB are taken.` }, 413))
  const answer = await fetch(`/api/photos/${id}?${new URLSearchParams({ ...of })}`, {
    method: 'PUT',
    body: file,
    headers: { 'content-type': 'application/octet-stream' }
  })
  if (!answer.ok) throw new Refusal(problemOf(await answer.json().catch(() => null), answer.status))
  await renew(key.photos(golfer))
  return id
}

/** Take a photograph away, or bring it back. */
export const putPhotoAway = (golfer: string, id: string, voided: boolean) =>
  put(
    '/api/photos/{id}/voided',
    { ...path(id), body: { voided } },
    {
      thing: `photo ${id}`,
      words: voided ? 'Taking a photograph away' : 'Bringing a photograph back',
      renews: [key.photos(golfer)]
    }
  )

/** The whole of a quick check so far. */
export const keepCheck = (id: string, body: Sent<'/api/quick-checks/{id}'>) =>
  put(
    '/api/quick-checks/{id}',
    { ...pathInUnits(id), body },
    { thing: `check ${id}`, words: 'The quick check', whole: true, renews: [key.checks(body.lesson_id)] }
  )

/** The coach's own words on the sheet. */
export const noteSheet = (lesson: string, note: string) =>
  put(
    '/api/lessons/{id}/sheet-note',
    { ...path(lesson), body: { note } },
    { thing: `sheet ${lesson}`, words: 'Words for the sheet', whole: true, answers: key.summary(lesson) }
  )

/** Let the golfer see the sheet, or no more. */
export const releaseSheet = (lesson: string, released: boolean) =>
  put(
    '/api/lessons/{id}/released',
    { ...path(lesson), body: { released } },
    {
      thing: `released ${lesson}`,
      words: released ? 'Releasing the sheet' : 'Taking the sheet back',
      whole: true,
      answers: key.summary(lesson)
    }
  )

const ofArchive = (id: string, words: string) => ({
  thing: `archive ${id}`,
  words,
  answers: key.archive(id),
  now: true
})

/** Have everything of a golfer, or of the studio, made into one file. */
export const makeArchive = (id: string, golfer_id: string | null) =>
  put('/api/archives/{id}/out', { ...path(id), body: { golfer_id } }, ofArchive(id, 'Everything out'))
export const lookAtArchive = (id: string) =>
  put('/api/archives/{id}/look', path(id), ofArchive(id, 'Looking at the archive'))
export const takeArchiveIn = (id: string) =>
  put('/api/archives/{id}/rows', path(id), ofArchive(id, 'Taking the archive in'))
export const stopArchive = (id: string) =>
  remove('/api/archives/{id}/work', path(id), ofArchive(id, 'Stopping the work on the archive'))

const PIECE = 8 * 1024 * 1024
/** Hand an archive over, piece by piece; `sent` is told how many bytes are. As a file it is no letter of the outbox. */
export async function giveArchive(id: string, file: File, sent: (bytes: number) => void): Promise<string> {
  for (let at = 0, number = 0; number === 0 || at < file.size; at += PIECE, number++) {
    const query = new URLSearchParams({ name: file.name.slice(0, 120) })
    const answer = await fetch(`/api/archives/${id}/parts/${number}?${query}`, {
      method: 'PUT',
      body: file.slice(at, at + PIECE),
      headers: { 'content-type': 'application/octet-stream' }
    })
    if (!answer.ok) throw new Refusal(problemOf(await answer.json().catch(() => null), answer.status))
    sent(Math.min(at + PIECE, file.size))
  }
  return id
}
