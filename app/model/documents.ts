import type { PhotoMarks } from './agree'
import type { DesignDocument } from './design'
import type { Workpiece } from './edits'
import type { WallOptions } from './options'
import type { Settings } from './settings'
import type { Survey } from './survey'

/** What is stored on its own: a wall as measured, what it is to become, its options by name, what is put on a photograph, what holds for a job. */
export interface Bodies {
  readonly survey: Survey
  readonly design: DesignDocument
  readonly options: WallOptions
  readonly photo: PhotoMarks
  readonly settings: Settings
}
export type DocumentKind = keyof Bodies

/** A document as it was read, with the revision that held it. */
export type StoredDocument = {
  readonly [K in DocumentKind]: {
    readonly id: string
    readonly kind: K
    readonly revision: number
    readonly body: Bodies[K]
  }
}[DocumentKind]

/** The body of the first document of a kind. Throws where there is none. */
export function bodyOf<K extends DocumentKind>(documents: readonly StoredDocument[], kind: K): Bodies[K] {
  const found = documents.find((document) => document.kind === kind)
  if (!found) throw new Error(`no ${kind} among ${documents.length} documents`)
  return found.body as Bodies[K]
}

/** What a wall page works on, from its documents. */
export function workpieceOf(documents: readonly StoredDocument[]): Workpiece {
  return {
    wall: { survey: bodyOf(documents, 'survey'), design: bodyOf(documents, 'design') },
    settings: bodyOf(documents, 'settings'),
  }
}

/** The revisions a plan is made from: of the survey, the design and the settings, and of nothing else a wall's page holds. */
export function madeFrom(documents: readonly Pick<StoredDocument, 'kind' | 'revision'>[]): number[] {
  return documents.flatMap(({ kind, revision }) => (kind === 'options' || kind === 'photo' ? [] : [revision]))
}
