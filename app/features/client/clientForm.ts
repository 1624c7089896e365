import { LIMITS, PAINT_USES } from '~/model'
import type { ClientPageView, Typed, TypedRemark } from './clientView'

/** What was put into the page's form, by its walls. */
export function typedInto(form: FormData, { walls }: Pick<ClientPageView, 'walls'>): Typed {
  const of = (name: string) => {
    const value = form.get(name)
    return typeof value === 'string' ? value : ''
  }
  const colorsOf = (id: string) =>
    PAINT_USES.flatMap((use) => {
      const paint = of(`color-${id}-${use}`)
      return paint === '' ? [] : [[use, paint] as const]
    })
  return {
    name: of('name'),
    line: of('line'),
    remarks: new Map(
      walls.map(({ id }) => [
        id,
        { text: of(`text-${id}`), x: of(`x-${id}`), y: of(`y-${id}`), option: of(`remark-option-${id}`) },
      ]),
    ),
    ticks: new Map(
      walls.map(({ id }) => [
        id,
        { option: of(`option-${id}`) || null, colors: Object.fromEntries(colorsOf(id)) },
      ]),
    ),
  }
}

/** All text of a form, for a page that was closed meanwhile: nothing that was written is lost. */
export function writtenInto(form: FormData): string {
  return [...form]
    .flatMap(([name, value]) =>
      typeof value === 'string' && /^(text-|name$)/.test(name) && value !== '' ? [value] : [],
    )
    .join(' · ')
}

/** A remark as it is kept. */
export function remarkOf(wall: string, { text, x, y, option }: TypedRemark): object {
  const [px, py] = [Number(x), Number(y)]
  const placed = x !== '' && y !== '' && Number.isSafeInteger(px) && Number.isSafeInteger(py)
  return {
    kind: 'remark',
    wall,
    option: option === '' ? null : option,
    at: placed ? { x: px, y: py } : null,
    text: text.slice(0, LIMITS.note),
  }
}
