/** Numbers as a coach types them: with a real minus, a comma, a fraction, or the unit behind them. */

/** A number and nothing else. */
export const FIGURE = /^(?:\d+\.?\d*|\.\d+)$/

const PARTS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8'
}

/** What was typed in one spelling: small letters, a point, straight marks, fractions ("2 1/2", "2½", "2 and a half") as figures. */
export function plain(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (it) => ` ${PARTS[it]}`)
    .replace(/,(?=\d)/g, '.')
    .replace(/[′’‘´`ʹ]/g, "'")
    .replace(/[″”“ʺ]|''/g, '"')
    .replace(/^[−–]/, '-')
    .replace(/(\d)\s*(?:and a half\b|-\s*1\/2\b)/g, '$1 1/2')
    .replace(/(?:(\d+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)/g, (_, whole: string | undefined, part: string, of: string) =>
      String(Number(whole ?? 0) + Number(part) / Number(of))
    )
    .replace(/\s*(?:,|\band\b)\s*/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
}

/** How people write the units of numbers that are no lengths. */
const UNITS = /\s*(?:°|degs?|degrees?|%|percent|pct|×|x|times|min|minutes?|ft|putts?)\.?$/

/** The number that was typed; NaN where none was. */
export function typedNumber(text: string): number {
  const said = plain(text).replace(UNITS, '')
  const [sign, figure] = said.startsWith('-') ? [-1, said.slice(1).trim()] : [1, said.replace(/^\+/, '').trim()]
  return FIGURE.test(figure) ? sign * Number(figure) : NaN
}

/** To two places: as finely as a slope is worth telling. */
export const hundredths = (value: number): number => Math.round(value * 100) / 100
