/** Save a file the server made. */
import { problemOf, Refusal } from './client'

/** Wait for it and hand it to the browser under the server's name for it; says how many sheets it takes. */
export async function save(
  asked: Promise<{ data?: unknown; error?: unknown; response: Response }>,
  fallback: string
): Promise<number> {
  const { data, error, response } = await asked
  if (!data) throw new Refusal(problemOf(error, response.status))
  const link = document.createElement('a')
  link.href = URL.createObjectURL(data as Blob)
  link.download = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? fallback
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
  return Number(response.headers.get('x-sheets') ?? 1)
}
