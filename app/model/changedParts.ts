import type { PhotoMarks } from './agree'
import { type Design, type DesignDocument, inForce } from './design'
import type { Bodies, DocumentKind } from './documents'
import { sameValue } from './merge'
import type { WallOptions } from './options'
import type { Settings } from './settings'
import type { Survey } from './survey'

type SurveyPart = Exclude<keyof Survey, 'version' | 'widthsBefore'>
type SettingsPart = Exclude<keyof Settings, 'version'>

/** What of a document a change is about; what follows from it by itself is left out. */
export type ChangedPart =
  | `survey.${SurveyPart}`
  | `design.${keyof Design}`
  | `options.${Exclude<keyof WallOptions, 'version'>}`
  | `photo.${keyof PhotoMarks}`
  | `settings.${SettingsPart}`

const FOLLOWS = ['version', 'widthsBefore']

function changedKeys(before: object, after: object): string[] {
  const of = (from: object, key: string) => (from as Readonly<Record<string, unknown>>)[key]
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => !FOLLOWS.includes(key) && !sameValue(of(before, key), of(after, key)),
  )
}

function comparable(kind: DocumentKind, body: Bodies[DocumentKind]): object {
  return kind === 'design' ? inForce(body as DesignDocument) : body
}

/** What a change of a document is about, to be said by name. A change of the pattern is that alone: its options come with it. */
export function changedParts<K extends DocumentKind>(
  kind: K,
  before: Bodies[K],
  after: Bodies[K],
): ChangedPart[] {
  const keys = changedKeys(comparable(kind, before), comparable(kind, after))
  const told = kind === 'design' && keys.includes('pattern') ? ['pattern'] : keys
  return told.map((key) => `${kind}.${key}` as ChangedPart)
}
