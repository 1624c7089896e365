import type { Settings, WallDocument } from '~/model'

/** What the server keeps of a wall page, as the browser sees it. */
export interface SavedState {
  readonly wall: WallDocument
  readonly settings: Settings
  readonly revisions: { readonly wall: number; readonly settings: number }
  readonly history: { readonly canUndo: boolean; readonly canRedo: boolean }
}

export type SaveRequest =
  | {
      readonly intent: 'save'
      readonly base: SavedState['revisions']
      readonly wall: WallDocument
      readonly settings: Settings
      readonly overwrite: boolean
    }
  | { readonly intent: 'undo' }
  | { readonly intent: 'redo' }

export type SaveAnswer =
  | { readonly kind: 'saved'; readonly state: SavedState }
  | { readonly kind: 'conflict'; readonly state: SavedState }
  | { readonly kind: 'refused'; readonly problems: readonly string[] }

/** Sends one change to the wall's document route. Throws when the server can't be reached. */
export async function sendChange(url: string, request: SaveRequest, leaving = false): Promise<SaveAnswer> {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(request),
    keepalive: leaving,
  })
  if (response.status >= 500) throw new Error(`the server answered ${response.status}`)
  return (await response.json()) as SaveAnswer
}
